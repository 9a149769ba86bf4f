import { printDose } from '../core/level/code';
import { findDecision, type Decision } from '../database/decisions';
import { parse, type FieldError } from '../schemas/parse';
import { sentWord, type SentWord } from '../schemas/word';
import type { Desk } from './desk';
import { sayLastWord } from './lastWord';

export type KeepDecision =
  | { readonly kind: 'created' | 'known' | 'conflict' }
  | { readonly kind: 'rejected'; readonly errors: readonly FieldError[] };

/** Keeps the instructor's word on one ladder of somebody once, as it is sent over HTTP; sent again it changes nothing. */
export async function keepDecision(desk: Desk, key: string, sent: unknown): Promise<KeepDecision> {
  const parsed = parse(sentWord, sent);
  if (parsed.kind === 'bad') return { kind: 'rejected', errors: parsed.errors };
  const known = await findDecision(desk.db, key);
  if (known) return { kind: says(known, parsed.value) ? 'known' : 'conflict' };
  const { personId, ...word } = parsed.value;
  const said = await sayLastWord(desk, personId, word, key);
  switch (said.kind) {
    case 'kept':
      return { kind: 'created' };
    case 'invalid':
      return { kind: 'rejected', errors: said.errors };
    case 'changed':
      return fault(
        '/seen',
        'is not what the rules give now: ask for the levels again, and send what they give. Nothing was kept',
      );
    case 'not-found':
      return fault('/personId', 'nobody in the register has this id, or there is no such ladder');
  }
}

const fault = (path: string, message: string): KeepDecision => ({ kind: 'rejected', errors: [{ path, message }] });

/** Whether what was kept under a key is what is sent again. */
function says({ personId, levels }: Decision, sent: SentWord): boolean {
  const [level] = levels;
  if (!level || personId !== sent.personId || level.pattern !== sent.pattern) return false;
  if ((level.byHand?.word ?? 'as-it-is') !== sent.word) return false;
  if (sent.word !== 'lower' && sent.word !== 'higher') return (level.byHand?.from ?? level.code) === sent.seen;
  const { rung, support, targetCm, within, loadKg, dose } = level;
  return (
    rung === sent.rung &&
    support === sent.support &&
    targetCm === sent.heightCm &&
    (sent.within == null || within?.step === sent.within) &&
    loadKg === sent.loadKg &&
    printDose(dose) === sent.dose
  );
}
