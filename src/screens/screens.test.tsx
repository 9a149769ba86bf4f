import { protocols } from '../catalogue/protocols';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { renderToStaticMarkup } from 'react-dom/server';
import { afterAll, beforeAll, describe, expect, test, vi } from 'vitest';
import { posesOf } from '../catalogue/ladders/poses';
import { levelRules } from '../catalogue/rules';
import { needsOf } from '../core/card/needs';
import type { PersonView } from '../core/view/personView';
import { reportOf } from '../core/view/report';
import type { Place } from '../core/shapes/person';
import { reportReaders } from '../core/shapes/printed';
import type { Register } from '../database/connection';
import { deskOf } from '../use-cases/desk';
import { demoCopy } from '../demo/demoCopy';
import { readPlace } from '../use-cases/places';
import { readEverybody } from '../use-cases/readPeople';
import { HallScoresGrid } from './scores/hall';
import { protocolById } from '../catalogue/protocols';
import { ReportSheet } from './scores/reportSheet';
import { ScoreScreen } from './scores/scorePage';
import { ScoreStack } from './scores/scoreStack';
import { changeWords } from './scores/rail';
import { resultWords } from './scores/testWords';
import { readGroupSheet } from '../use-cases/groupSheet';
import { readHall } from '../use-cases/halls';
import { GroupSheet } from './levels/groupSheet';
import { HallLevels } from './levels/hall';
import { doseWords } from './levels/bayWords';
import { PersonScreen } from './people/personPage';
import { lineOf } from '../core/view/registerLine';
import { allLines } from '../use-cases/everybody';
import { RetestScreen } from './retest/retestPage';
import { HallRetests } from './retest/hall';
import { states, stateOfLine } from './states';
import { TodayScreen } from './today/today';
import { matching } from './touch/matching';
import { typedNumber } from './touch/typed';
import { signed, slowingWords, newestWords } from './words';

// Nothing is pressed here: where a press would lead is not asked.
vi.mock('next/navigation', () => ({ useRouter: () => ({ refresh: () => undefined, replace: () => undefined }) }));

const today = '2026-03-02';
const folder = mkdtempSync(join(tmpdir(), 'screens-'));
let db: Register;
let people: PersonView[];
let place: Place;
beforeAll(async () => {
  db = await demoCopy(today);
  people = await readEverybody(deskOf(db, today));
  place = await readPlace(deskOf(db, today));
});
afterAll(async () => {
  await db.destroy();
  rmSync(folder, { recursive: true });
});

const noCorrection = () => Promise.resolve({ kind: 'saved' as const });

const named = (name: string): PersonView => {
  const found = people.find((p) => p.person.name === name);
  if (!found) throw new Error(`${name} is not in the demo hall`);
  return found;
};
/** The words of a screen, as somebody reads them. */
const read = (screen: React.ReactElement): string =>
  renderToStaticMarkup(screen)
    .replace(/<[^>]+>/g, ' ')
    .replace(/\s+/g, ' ');
/** The page of one test of a person. */
function scoreOf(view: PersonView, id = 'chair-stand-30s'): React.ReactElement {
  const [protocol, test] = [protocolById(id), view.tests.find((t) => t.test === id)];
  if (!protocol || !test) throw new Error(`${view.person.name} has no ${id}`);
  return <ScoreScreen correct={noCorrection} view={view} protocol={protocol} test={test} />;
}
/** The screens of one person that need no browser. */
const personScreens = (view: PersonView): string[] => [
  read(<PersonScreen correct={noCorrection} view={view} />),
  read(<ScoreStack view={view} printed={[]} today={today} />),
  ...view.tests.map((t) => read(scoreOf(view, t.test))),
  read(<RetestScreen view={view} today={today} />),
  ...reportReaders.map((reader) =>
    read(<ReportSheet report={reportOf(view, place, { reader, percent: false }, today)} />),
  ),
];

const pages = { path: '/', page: 1, of: 1 };

describe('words on every screen of everybody', () => {
  test('kind words only: nothing fails, is poor, forbidden, weaker or late (common practice, no published source)', async () => {
    const all = [
      ...people.flatMap(personScreens),
      read(
        <TodayScreen
          today={today}
          place={place}
          {...await allLines(deskOf(db, today))}
          copyToMiss="2026-02-12"
          sitting={0}
          groups={[]}
          seat={() => Promise.resolve()}
          tellOfHall={null}
        />,
      ),
      read(<HallScoresGrid people={people} pages={pages} order={{ sort: 'past', pastOnly: false }} />),
      read(
        <HallLevels
          people={people}
          pages={pages}
          ladders={levelRules.ladders}
          needs={needsOf(
            people.flatMap((p) => p.levels.levels),
            posesOf,
          )}
          units="metric"
          groups={[]}
          groupId={null}
          pattern={null}
          confirm={() => Promise.resolve({ kind: 'confirmed' })}
          sheetPath="/levels/sheet"
        />,
      ),
      read(<GroupSheet {...await readGroupSheet(deskOf(db, today), {})} title="Who does what" back="/levels" />),
      read(<HallRetests people={people} pages={pages} dueOn={[]} today={today} />),
    ];
    for (const words of all)
      expect(words).not.toMatch(/\b(fails?|failed|poor|forbidden|weak|late|overdue|injury risk|stepped back)\b/i);
  });
  test('hands used prints "5 with hands", is never 0 and never ranked', () => {
    const agnes = named('Agnes Tverrå');
    for (const words of [
      <PersonScreen correct={noCorrection} key="p" view={agnes} />,
      <RetestScreen key="r" view={agnes} today={today} />,
      scoreOf(agnes),
    ].map(read)) {
      expect(words).toContain('5 with hands');
      expect(words).not.toMatch(/in 100/);
      expect(words).not.toMatch(/ 0 stands/);
    }
    expect(read(<ScoreStack view={agnes} printed={[]} today={today} />)).toContain('5 with hands');
  });
  test('a percentile is whole and said with "about"', () => {
    for (const view of people) {
      const words = read(<ScoreStack view={view} printed={[]} today={today} />);
      for (const [said] of words.matchAll(/\S+ [\d.]+ in 100/g))
        expect(said).toMatch(/^(about \d+|lowest 5|highest 5) in 100$/);
    }
  });
  test('every norm figure on a score has its source beside it, and says from memory', () => {
    const words = read(scoreOf(named('Odile Brandvoll')));
    for (const source of ['7:162-181', 'CDC 30-second chair stand sheet, 2017', '2001/2013', '53:255-267', '7:129-161'])
      expect(words).toContain(source);
    expect(words.match(/from memory/g)?.length).toBeGreaterThanOrEqual(5);
  });
  test('from 90 on no standard is shown', () => {
    expect(read(scoreOf(named('Josef Amundi')))).not.toContain('Many keep');
    expect(read(scoreOf(named('Odile Brandvoll')))).toContain('Many keep');
  });
  test('another seat: the change is told, marked, and not judged', () => {
    const words = read(scoreOf(named('Renske Poldervaart')));
    expect(words).toContain('another seat (43 cm, then 50 cm)');
    expect(words).toContain('not like for like');
  });
  test('the power of rising says in one sentence what became of it since the time before', () => {
    const view = named('Odile Brandvoll');
    expect(view.powerBefore?.on).toBe('2025-12-01');
    const words = read(<ScoreStack view={view} printed={[]} today={today} />);
    expect(words).toMatch(/They rise with (more|less) power than on 1 Dec \(\d\.\d\d W\/kg\); no published error\./);
  });
  test('with the norm table left open both rows are told', () => {
    expect(read(scoreOf(named('Yvonne Caddick')))).toMatch(/women 65–69.*men 65–69/);
  });
  test('somebody not today: the reason is the next thing, and no way leads to a test from it', () => {
    const words = read(<PersonScreen correct={noCorrection} view={named('Adelheid Pomm')} />);
    expect(words).toContain('not today: feeling ill');
    expect(renderToStaticMarkup(<PersonScreen correct={noCorrection} view={named('Adelheid Pomm')} />)).not.toContain(
      'data-hotkey="T"',
    );
  });
});

describe('one state, one sign, one word', () => {
  test('no two states are said in the same word, and whatever is held has the square', () => {
    const words = Object.values(states).map((s) => s.word);
    expect(new Set(words).size).toBe(words.length);
    expect(['not-today', 'ask-first', 'held'].map((s) => states[s as keyof typeof states].sign)).toEqual(
      Array.from({ length: 3 }, () => 'stop'),
    );
  });
  test('what is to be minded carries no sign of a state', () => {
    for (const view of people) {
      const mind = /aria-labelledby="mind">(.*?)<\/ul>/s.exec(
        renderToStaticMarkup(<PersonScreen correct={noCorrection} view={view} />),
      )?.[1];
      expect(mind ?? '').not.toContain('data-sign');
    }
  });
  test('to watch counts the tests that are marked, on the path, the stack and the hall alike', () => {
    for (const view of people) {
      const stack = renderToStaticMarkup(<ScoreStack view={view} printed={[]} today={today} />);
      expect(stack.match(/data-sign="watch"/g)?.length ?? 0).toBe(view.toWatch);
      const note = view.path.steps.find((s) => s.step === 'scores')?.note ?? '';
      if (view.tests.length > 0) expect(Number(/^(\d+) to watch/.exec(note)?.[1] ?? 0)).toBe(view.toWatch);
    }
  });
  test('Today and Retest draw the same retests in the same weeks', async () => {
    const { lines } = await allLines(deskOf(db, today));
    const chart = (markup: string) => /aria-label="(Retests by week[^"]*)"/.exec(markup)?.[1];
    const onToday = renderToStaticMarkup(
      <TodayScreen
        {...{ today, place, lines, behind: 0, copyToMiss: null, sitting: 0, groups: [], tellOfHall: null }}
        seat={() => Promise.resolve()}
      />,
    );
    const { people: due, dueOn } = await readHall(deskOf(db, today), 'retests', 1);
    const onRetest = renderToStaticMarkup(<HallRetests people={due} pages={pages} dueOn={dueOn} today={today} />);
    expect(chart(onToday)).toBeDefined();
    expect(chart(onToday)).toBe(chart(onRetest));
  });
});

test('a test without norms is drawn with its number, its unit and last time, and no percentiles', () => {
  const without = people.flatMap((view) =>
    view.tests.filter((t) => t.test === 'four-stage' && (t.series[0]?.results.length ?? 0) > 1).map(() => view),
  );
  expect(without.length).toBeGreaterThan(0);
  for (const view of without) {
    const words = read(scoreOf(view, 'four-stage'));
    expect(words).toMatch(/\d positions? , last time \d positions? on \d+ \w+ \d{4}/);
    expect(words).not.toContain('25th');
  }
});

test('what is one number on screen is the same number on paper', () => {
  for (const view of people) {
    const paper = read(<ReportSheet report={reportOf(view, place, { reader: 'clinician', percent: false }, today)} />);
    const { power } = view.composites;
    if (power) expect(paper).toContain(`${power.wattsPerKg.toFixed(2)} W/kg`);
    const screen = read(<ScoreStack view={view} printed={[]} today={today} />);
    if (power) expect(screen).toContain(`${power.wattsPerKg.toFixed(2)} W/kg`);
    for (const { test: id, series } of view.tests) {
      const [protocol, newest] = [protocolById(id), series[0]?.results[0]];
      if (!protocol || newest?.result.value == null || newest.result.handsUsed) continue;
      const said = resultWords(protocol, newest);
      for (const words of [paper, screen]) expect(words).toContain(said);
    }
  }
});

test('one mark says how somebody stands', () => {
  const marks = [
    'Adelheid Pomm',
    'Ruben Sastry',
    'Casper Oyelaran',
    'Wiktor Lanz',
    'Bertil Kvarnholm',
    'Signe Tollund',
  ].map((name) => states[stateOfLine(lineOf(named(name), protocols, [], today).state)].word);
  expect(marks).toEqual(['not today', 'ask first', 'not tested yet', 'due', 'waits for your yes', 'ready']);
});

describe('small words', () => {
  test('a change is said with its sign and the smallest real change', () => {
    const change = {
      kind: 'clearly-less',
      ...{ by: -4, unit: 'stands', better: false, z: -2.3, smallestReal: 3.406, days: 60 },
      ...{ regressionTo: null, noticed: null, nearest: false, source: null },
    } as const;
    expect(changeWords(change)).toEqual({ verdict: 'clearly less', size: '−4 · smallest real change 3.4' });
    expect(changeWords({ ...change, kind: 'probably-better', by: -1.2, unit: 's' }).size).toContain('1.2 s faster');
    const told = { kind: 'told', by: 3, unit: 'stands', better: true, firstClean: 1, noticed: null } as const;
    expect(changeWords(told)).toEqual({
      verdict: '+3',
      size: '1 of them without hands: the first · no published error',
    });
    expect([signed(3), signed(0), signed(-2)]).toEqual(['+3', '0', '−2']);
  });
  test('slowing under 5 % is even, under six stands it is not told', () => {
    expect([1.21, 1.04, 0.9, null].map(slowingWords)).toEqual([
      'last third 21 % slower',
      'even to the end',
      'last third 10 % faster',
      'under six stands, not told',
    ]);
  });
  test('a dose is said in words', () => {
    expect([
      doseWords({ kind: 'reps', reps: 1, sets: 1 }),
      doseWords({ kind: 'holds', holdS: 5, sets: 3 }),
      doseWords({ kind: 'intervals', workS: 30, restS: 15, rounds: 3 }),
      doseWords({ kind: 'half-minute', reps: 10, everyS: 30, rounds: 3 }),
    ]).toEqual([
      '1 repetition, one set',
      'hold 5 s, 3 times',
      '30 s work, 15 s rest, 3 rounds',
      '10 every 30 s, 3 rounds',
    ]);
  });
  test('stands with hands are said so', () => {
    const stands = { test: 'chair-stand-30s', value: 12 };
    expect([true, false].map((handsUsed) => newestWords({ ...stands, handsUsed }))).toEqual([
      '12 with hands',
      '12 stands',
    ]);
  });
  test('a typed number takes comma or point; nothing is nothing; words stay for the check to refuse', () => {
    expect(['43,5', ' 43.5 ', '', 'tall', 7].map((typed) => typedNumber(typed, null))).toEqual([
      43.5,
      43.5,
      null,
      'tall',
      7,
    ]);
  });
  test('a name is found by its parts, in any order and without its accents', () => {
    const names = [{ name: 'Agnes Tverrå' }, { name: 'Dov Hallström' }];
    expect(
      [matching(names, 'tverra agn'), matching(names, 'STRÖM'), matching(names, 'zz')].map((found) =>
        found.map((p) => p.name),
      ),
    ).toEqual([['Agnes Tverrå'], ['Dov Hallström'], []]);
  });
});
