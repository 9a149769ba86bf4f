'use client';
import { useEffect, type HTMLAttributes } from 'react';

/** A test takes the whole screen: the frame behind it can neither be tabbed to nor pressed. */
export function FullScreen({ className = '', ...rest }: HTMLAttributes<HTMLDivElement>) {
  useEffect(() => {
    const frame = document.querySelectorAll('[data-frame]');
    for (const part of frame) part.setAttribute('inert', '');
    return () => {
      for (const part of frame) part.removeAttribute('inert');
    };
  }, []);
  return (
    <div
      data-fixed
      {...rest}
      className={`fixed inset-0 z-10 flex flex-col overflow-y-auto bg-board ${className}`}
      data-full-screen
    />
  );
}
