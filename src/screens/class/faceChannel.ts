'use client';
import { useEffect } from 'react';
import type { ClockEvent } from '../../core/shapes/class';

const nameOf = (key: string): string => `class ${key}`;

/** Tells the screen for the hall, in another window of this browser, where the clock of the class is. */
export function useTellFace(key: string, events: readonly ClockEvent[]): void {
  useEffect(() => {
    const channel = new BroadcastChannel(nameOf(key));
    const tell = () => channel.postMessage(events);
    // A face that opens asks.
    channel.onmessage = ({ data }: MessageEvent<unknown>) => {
      if (data === 'where') tell();
    };
    tell();
    return () => channel.close();
  }, [key, events]);
}

/** Hears where the clock of a class is. */
export function useToldByClass(key: string, told: (events: readonly ClockEvent[]) => void): void {
  useEffect(() => {
    const channel = new BroadcastChannel(nameOf(key));
    channel.onmessage = ({ data }: MessageEvent<unknown>) => {
      if (Array.isArray(data)) told(data as ClockEvent[]);
    };
    channel.postMessage('where');
    return () => channel.close();
  }, [key, told]);
}
