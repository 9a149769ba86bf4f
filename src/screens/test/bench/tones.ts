import type { Planned } from './runner';

/** Tones of a timed test, scheduled on the clock of the sound card so that they do not wait for the page. */
export class Tones {
  /** Absent on a machine without sound; the test then runs by eye. */
  private readonly sound = typeof AudioContext === 'undefined' ? null : new AudioContext();
  private readonly planned: OscillatorNode[] = [];

  /** A tone at a moment of `performance.now()`. */
  plan(atMs: number, lengthMs: number, hertz: number): void {
    if (!this.sound) return;
    const start = this.sound.currentTime + Math.max(0, (atMs - performance.now()) / 1000);
    const tone = this.sound.createOscillator();
    const volume = this.sound.createGain();
    tone.frequency.value = hertz;
    volume.gain.setValueAtTime(0.5, start);
    // A short fade, as a tone cut off clicks.
    volume.gain.linearRampToValueAtTime(0, start + lengthMs / 1000);
    tone.connect(volume).connect(this.sound.destination);
    tone.start(start);
    tone.stop(start + lengthMs / 1000);
    this.planned.push(tone);
  }

  /**
   * Three short, one higher to go, a soft one for each call on the way, one long at the end.
   */
  planTest({ goMs, lastMs, onTheWayMs }: Planned): void {
    // The first of the three falls on the moment of planning itself, so a little past is still in time.
    const inTime = performance.now() - 200;
    for (const second of [3, 2, 1]) if (goMs - second * 1000 > inTime) this.plan(goMs - second * 1000, 150, 440);
    if (goMs > performance.now()) this.plan(goMs, 500, 880);
    for (const ms of onTheWayMs) if (goMs + ms > performance.now()) this.plan(goMs + ms, 120, 550);
    if (lastMs !== null) this.plan(goMs + lastMs, 1500, 660);
  }

  silence(): void {
    for (const tone of this.planned.splice(0)) tone.stop();
  }
}
