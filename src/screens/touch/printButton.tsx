'use client';
import { Button } from './button';

export function PrintButton({ look = 'main', children = 'Print' }: { look?: 'main' | 'line'; children?: string }) {
  return (
    <Button look={look} hotkey="P" onClick={() => window.print()}>
      {children}
    </Button>
  );
}
