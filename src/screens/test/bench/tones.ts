import type { Planned } from './runner';
import { gainNow, onVolume } from './volume';

/** The one sound card of a page: every lane sounds on it, and lanes that sound at once are held together. */
class Card {
  readonly sound = new AudioContext();
  readonly out: GainNode;

  constructor() {
    // Four lanes at one go sum up: what would be over the top is held down.
    const limit = this.sound.createDynamicsCompressor();
    this.out = this.sound.createGain();
    this.out.gain.value = gainNow();
    this.out.connect(limit).connect(this.sound.destination);
    // Turned down in the middle of a test it is quieter at once.
    onVolume(() => (this.out.gain.value = gainNow()));
  }
}

let card: Card | null | undefined;
/** Absent on a machine without sound; the test then runs by eye. */
function theCard(): Card | null {
  card ??= typeof AudioContext === 'undefined' ? null : new Card();
  return card;
}

/** Tones of a timed test, scheduled on the clock of the sound card so that they do not wait for the page. */
export class Tones {
  private readonly planned: OscillatorNode[] = [];

  /** A tone at a moment of `performance.now()`. */
  plan(atMs: number, lengthMs: number, hertz: number): void {
    const on = theCard();
    if (!on) return;
    const { sound, out } = on;
    const start = sound.currentTime + Math.max(0, (atMs - performance.now()) / 1000);
    const tone = sound.createOscillator();
    const shape = sound.createGain();
    tone.frequency.value = hertz;
    shape.gain.setValueAtTime(1, start);
    // A short fade, as a tone cut off clicks.
    shape.gain.linearRampToValueAtTime(0, start + lengthMs / 1000);
    tone.connect(shape).connect(out);
    tone.start(start);
    tone.stop(start + lengthMs / 1000);
    this.planned.push(tone);
  }

  /** Three short, one higher to go, a soft one for each call on the way, one long at the end. */
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
