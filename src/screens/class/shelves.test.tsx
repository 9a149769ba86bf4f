import { renderToStaticMarkup } from 'react-dom/server';
import { expect, test } from 'vitest';
import type { UnitSystem } from '../../core/shapes/person';
import type { ClassPlan } from '../../core/train/plan';
import type { Variant } from '../../core/train/variant';
import { Shelves } from './shelves';

const plan: Pick<ClassPlan, 'who'> = {
  who: [
    { id: 'ada', name: 'Ada Averly', short: 'Ada' },
    { id: 'bo', name: 'Bo Tallow', short: 'Bo' },
  ],
};
const doing: Readonly<Record<string, Variant>> = {
  ada: {
    ...{
      personId: 'ada',
      shelf: 'A',
      pattern: 'S',
      rung: 5,
      name: 'Seat tap',
      support: 'h',
      targetCm: 48,
      loadKg: null,
    },
    ...{ dose: { kind: 'reps', reps: 5, sets: 2 }, code: 'S5/48/h@5x2', folded: null, why: null, spotter: null },
  },
  bo: {
    ...{
      personId: 'bo',
      shelf: 'B',
      pattern: 'U',
      rung: 2,
      name: 'Low step',
      support: '1',
      targetCm: null,
      loadKg: null,
    },
    ...{ dose: { kind: 'reps', reps: 5, sets: 2 }, code: 'U2/1@5x2', folded: null, why: null, spotter: 'Mara' },
    much: 'on a step 5 cm higher, 12 cm at most',
  },
};
const shown = (units: UnitSystem): string =>
  renderToStaticMarkup(
    <Shelves
      plan={plan as ClassPlan}
      units={units}
      there={new Set(['ada', 'bo'])}
      of={(id) => doing[id] ?? null}
      lines={[{ writer: 't', seq: 0, wallMs: 0, personId: 'ada', content: { kind: 'seen', pattern: 'S' } }]}
      choose={() => undefined}
      withWhom={(id) => (id === 'bo' ? 'Pia' : null)}
    />,
  ).replace(/<[^>]+>/g, ' ');

test('who is on what stands with the seat, how far, the hands and who is beside', () => {
  expect(shown('metric')).toMatch(/Ada\s+Seat tap, 48 cm, hands just above/);
  expect(shown('metric')).toMatch(
    /Bo\s+Low step, on a step 5 cm higher, 12 cm at most, one hand, Mara beside\s+with Pia/,
  );
});

test('in a hall in inches nothing of it is told in centimetres', () => {
  expect(shown('us')).toMatch(/Seat tap, 19 in,/);
  expect(shown('us')).toContain('on a step 2 in higher, 4¾ in at most');
  expect(shown('us')).not.toMatch(/\bcm\b/);
});
