'use client';
import { Button } from '../touch/button';
import { drawnPage } from './drawnPage';

/** Gives each side of the card as one SVG file. */
export function SaveDrawing({ name }: { name: string }) {
  const save = () => {
    document.querySelectorAll<HTMLElement>('[data-sheet]').forEach((sheet, i) => {
      const url = URL.createObjectURL(new Blob([drawnPage(sheet)], { type: 'image/svg+xml' }));
      const link = document.createElement('a');
      link.href = url;
      link.download = `${name}-${i + 1}.svg`;
      link.click();
      URL.revokeObjectURL(url);
    });
  };
  return (
    <Button look="line" onClick={save}>
      Save as SVG
    </Button>
  );
}
