'use client';
import { Button } from '../touch/button';

export function PrintButton() {
  return (
    <Button hotkey="P" onClick={() => window.print()}>
      Print
    </Button>
  );
}
