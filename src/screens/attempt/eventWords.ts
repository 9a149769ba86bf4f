import type { AttemptEvent } from '../../core/shapes/attempt';
import type { Protocol } from '../../core/shapes/protocol';
import { unitAfter } from '../../core/math/amount';
import { deviceName, stopReasonWords } from '../words';

/** What an event says, in a few words. */
export function eventWords(event: AttemptEvent, protocol: Protocol, nameOf: (id: string) => string): string {
  const nth =
    event.try === undefined ? '' : `, ${protocol.capture.kind === 'staged' ? 'stage' : 'try'} ${event.try + 1}`;
  switch (event.kind) {
    case 'practice':
      return `practice, ${event.reps}`;
    case 'start':
      return `start${nth}`;
    case 'false-start':
      return `begun anew${nth}`;
    case 'rep':
      return `${unitAfter(1, protocol.unit) === protocol.unit ? 'one' : unitAfter(1, protocol.unit)}${event.device ? `, told by ${deviceName(event.device)}` : ''}`;
    case 'undo':
      return `the last taken back${nth}`;
    case 'hands':
      return 'hands';
    case 'not-full':
      return 'the last was not full';
    case 'let-go':
      return `hold ended${nth}`;
    case 'finish':
      return `line crossed${nth}`;
    case 'touch':
      return `touched${nth}`;
    case 'rest':
      return 'rested';
    case 'go-on':
      return 'went on';
    case 'stage':
      return [
        `stage ${event.id}`,
        ...(event.held === undefined ? [] : [event.held ? 'yes' : 'no']),
        ...(event.seatCm === undefined ? [] : [`seat ${event.seatCm} cm`]),
        ...(event.answer === undefined ? [] : [String(event.answer)]),
        ...(event.second === undefined ? [] : [`over ${event.second}`]),
      ].join(', ');
    case 'reading':
      return `reading ${event.value} ${event.unit ?? 'cm'}${nth}`;
    case 'half-rep':
      return event.counts ? 'half-way at the tone: counts' : 'half-way at the tone: no';
    case 'caught':
      return `caught${nth}`;
    case 'pain':
      return `pain ${event.value} of 10`;
    case 'effort':
      return `effort ${event.value} of 10`;
    case 'gap':
      return `the page was away for ${(event.lengthMs / 1000).toFixed(1)} s`;
    case 'agree':
      return 'somebody said yes to the count';
    case 'end':
      return 'the end';
    case 'stop':
      return `stopped: ${stopReasonWords[event.reason].toLowerCase()}`;
    case 'halt':
      return 'held: somebody needed help';
    case 'note':
      return `note: ${event.text}`;
    case 'entered':
      return `written down: ${event.outcome && event.outcome !== 'done' ? event.outcome.replace('-', ' ') : (event.trials?.join(', ') ?? event.value ?? 'seconds of each')}`;
    case 'condition':
      return `the conditions were otherwise: ${event.reason}`;
    case 'strike':
      return `left out: number ${event.ofSeq}, ${event.reason}`;
    case 'prefer':
      return 'kept for its day, of two taken at once';
    case 'add':
      return `result set to ${event.value}: ${event.reason}`;
    case 'move':
      return `given to ${nameOf(event.toPersonId)}: ${event.reason}`;
  }
}
