import type { ClassLogContent, WrittenLine } from '../../core/shapes/classLog';
import { seenWords } from './seenWords';

const fewerWords = ({ half, done }: Extract<ClassLogContent, { kind: 'fewer' }>): string => {
  const told = half === 'less' ? 'under half' : 'fewer';
  if (!done) return told;
  return `${told}: ${done.of === 'each' ? `${done.n} in each` : `${done.n} ${done.n === 1 ? 'round' : 'rounds'}`}`;
};

/** What a line says of somebody, in a word or two; `null` of one that says nothing of anybody. */
export const lineWords = ({ content }: WrittenLine): string | null => {
  switch (content.kind) {
    case 'seen':
      return 'seen clean';
    case 'fewer':
      return fewerWords(content);
    case 'form':
      return `${seenWords(content.check)}${content.putRight ? ', put right' : ', not put right'}`;
    case 'pain':
      return `${content.joint} ${content.level}${content.sharp ? ', sharp' : ''}`;
    case 'effort':
      return content.value > 7 ? 'far too hard' : 'hard';
    case 'support':
      return content.change === 'more' ? 'more hands' : 'fewer hands';
    case 'seat':
      return `${content.change} seat`;
    case 'swap':
      return content.code === '' ? 'left it out: it hurts' : `did ${content.code.split('/')[0] ?? ''} instead`;
    case 'stop':
      return `stopped: ${content.why}`;
    case 'not-done':
      return 'not done';
    case 'absent':
      return 'not here';
    case 'next-day':
      return content.worse ? 'worse the day after' : 'fine the day after';
    default:
      return null;
  }
};
