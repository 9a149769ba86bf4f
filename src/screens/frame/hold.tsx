'use client';
import { Dialog, DialogPanel, DialogTitle } from '@headlessui/react';
import { useCallback, useEffect, useState } from 'react';
import {
  incidentKinds,
  yesNoUnknown,
  type EntryContent,
  type IncidentKind,
  type YesNoUnknown,
} from '../../core/shapes/intake';
import type { RegisterLine } from '../../core/view/registerLine';
import { cautions } from '../../catalogue/cautions/cautions';
import { StateMark } from '../drawing/stateMark';
import { forgetEntry, keepEntry, keptEntries, newClientKey, type KeptEntry } from '../test/bench/store';
import { sendEntry } from '../test/bench/sending';
import { Button, Key } from '../touch/button';
import { deviceDay } from '../touch/hallDay';
import { matching } from '../touch/matching';
import { useOneAtATime } from '../touch/useOneAtATime';
import { incidentWords } from '../words';
import { fetchLines } from './askRegister';
import { holdEverything, onHold } from './holding';
import { useKeys } from './keys';
import { thisRegister } from './thisRegister';
import { TextArea, TextBox } from '../touch/field';

type Sheet = Extract<EntryContent, { kind: 'incident' }>;

interface Props {
  readonly emergencyNumber: string;
  /** Set when the day is pretended, for demonstrations and pictures. */
  readonly pretended: string | null;
}

const called = ['emergency number', 'contact', 'clinician', 'nobody yet'] as const;

/** Keeps the sheet as it is written; where the browser cannot, saving it sends it straight away. */
function keep(entry: KeptEntry): void {
  keepEntry(entry).catch((error: unknown) => console.error('The sheet is held on this page only:', error));
}

/** One key from anywhere, also while typing and in a running test. The sheet is kept in this browser from its first moment. */
export function Hold({ emergencyNumber, pretended }: Props) {
  const [kept, setKept] = useState<KeptEntry | null>(null);
  const open = useCallback(() => {
    setKept((now) => {
      if (now) return now;
      const of = document.querySelector<HTMLElement>('[data-person-id]')?.dataset;
      const fresh: KeptEntry = {
        key: newClientKey(),
        personId: of?.['personId'] ?? '',
        personName: of?.['personName'] ?? '',
        // The day of the incident, also on a page that was left open overnight.
        on: pretended ?? deviceDay(),
        register: thisRegister(),
        content: { ...emptySheet(), ...(of?.['bloodThinners'] === 'yes' ? { bloodThinners: 'yes' as const } : {}) },
        open: true,
        refused: null,
      };
      keep(fresh);
      return fresh;
    });
  }, [pretended]);

  useKeys(
    'always',
    (event) => {
      if (event.key !== 'F9') return false;
      if (!event.repeat) holdEverything();
      return true;
    },
    { overButtons: true },
  );
  useEffect(() => {
    const off = onHold(open);
    // A sheet that a reload or a dead battery closed is opened again.
    keptEntries().then(
      (all) => {
        const left = all.find((e) => e.open && e.content.kind === 'incident');
        if (left) setKept((now) => now ?? left);
      },
      (error: unknown) => console.error('What this browser keeps cannot be read:', error),
    );
    return off;
  }, [open]);

  return (
    <Dialog open={kept !== null} onClose={() => undefined} className="relative z-40">
      {kept && (
        <div className="fixed inset-0 overflow-y-auto bg-board">
          <DialogPanel className="mx-auto max-w-6xl px-7 py-5">
            <IncidentSheet kept={kept} emergencyNumber={emergencyNumber} change={setKept} close={() => setKept(null)} />
          </DialogPanel>
        </div>
      )}
    </Dialog>
  );
}

export function HoldButton() {
  return (
    <button
      type="button"
      onClick={holdEverything}
      className="flex min-h-11 cursor-pointer items-center gap-2 rounded-md border-2 border-stop px-3 font-bold"
    >
      <StateMark mark="stop" silent /> Hold <Key>F9</Key>
    </button>
  );
}

function emptySheet(): Sheet {
  const now = new Date();
  const two = (n: number) => String(Math.floor(Math.abs(n))).padStart(2, '0');
  const minutes = -now.getTimezoneOffset();
  const offset = `${minutes < 0 ? '-' : '+'}${two(minutes / 60)}:${two(minutes % 60)}`;
  const day = `${now.getFullYear()}-${two(now.getMonth() + 1)}-${two(now.getDate())}`;
  return {
    kind: 'incident',
    at: `${day}T${two(now.getHours())}:${two(now.getMinutes())}:${two(now.getSeconds())}${offset}`,
    what: [],
    head: 'unknown',
    bloodThinners: 'unknown',
    called: '',
    note: '',
  };
}

interface SheetProps {
  readonly kept: KeptEntry;
  readonly emergencyNumber: string;
  readonly change: (kept: KeptEntry) => void;
  readonly close: () => void;
}

/** Read at arm's length beside somebody on the floor: the number first, then few big answers. */
function IncidentSheet({ kept, emergencyNumber, change, close }: SheetProps) {
  const [fault, setFault] = useState('');
  const sheet = kept.content as Sheet;
  const put = (more: Partial<Sheet>) => {
    const next = { ...kept, content: { ...sheet, ...more } };
    change(next);
    keep(next);
  };
  const who = (id: string, name: string) => {
    const next = { ...kept, personId: id, personName: name };
    change(next);
    keep(next);
  };
  const headOnThinners = sheet.head === 'yes' && sheet.bloodThinners !== 'no';
  const save = useOneAtATime(async () => {
    if (sheet.what.length === 0) {
      setFault('Choose what happened. Everything written is kept.');
      return true;
    }
    const done = { ...kept, open: false };
    const isKept = await keepEntry(done).then(
      () => true,
      () => false,
    );
    // Without a name it waits here until somebody says whom it is about.
    const sent = kept.personId === '' ? 'later' : await sendEntry(done).catch(() => 'later' as const);
    if (!isKept && sent !== 'sent') {
      setFault('This browser can keep nothing more and the server does not answer: write the sheet down on paper.');
      return true;
    }
    close();
    return true;
  });
  const choice = (on: boolean) =>
    `min-h-14 cursor-pointer rounded-md border-2 border-ink px-4 text-lg font-bold ${on ? 'bg-ink text-board' : 'bg-board'}`;
  return (
    <>
      <div className="flex flex-wrap items-center gap-x-8 gap-y-2 border-b-4 border-stop pb-3">
        <DialogTitle className="flex items-center gap-3 text-3xl font-extrabold">
          <StateMark mark="stop" silent /> Hold
        </DialogTitle>
        <p className="text-xl">
          {emergencyNumber === '' ? (
            <b>Call the emergency number of your place.</b>
          ) : (
            <>
              Emergency: <b className="num text-[64px] leading-none">{emergencyNumber}</b>
            </>
          )}
        </p>
        <p className="text-xl">
          since <b className="num">{sheet.at.slice(11, 16)}</b>
        </p>
      </div>
      <p className="mt-3 text-lg">
        Seat or lay them down, stay with them. {cautions.stopNow[0]} {cautions.stopNow[1]} Call.
      </p>
      {headOnThinners && (
        <p role="alert" className="mt-3 border-l-8 border-stop bg-floor p-3 text-xl font-bold">
          A knock to the head{sheet.bloodThinners === 'yes' ? ' on blood thinners' : ', blood thinners not ruled out'}:
          call {emergencyNumber === '' ? 'the emergency number' : <span className="num">{emergencyNumber}</span>} now.
        </p>
      )}
      <div className="mt-4 grid gap-x-10 gap-y-4 lg:grid-cols-2">
        <div className="space-y-4">
          <Who kept={kept} who={who} />
          <div role="group" aria-label="What happened">
            <p className="font-semibold">What happened</p>
            <div className="mt-1 flex flex-wrap gap-2">
              {incidentKinds.map((kind: IncidentKind) => {
                const on = sheet.what.includes(kind);
                return (
                  <button
                    key={kind}
                    type="button"
                    aria-pressed={on}
                    className={choice(on)}
                    onClick={() => put({ what: on ? sheet.what.filter((w) => w !== kind) : [...sheet.what, kind] })}
                  >
                    {incidentWords[kind]}
                  </button>
                );
              })}
            </div>
          </div>
        </div>
        <div className="space-y-4">
          {(
            [
              ['head', 'Was the head struck?'],
              ['bloodThinners', 'Blood thinners?'],
            ] as const
          ).map(([name, asks]) => (
            <div key={name} role="group" aria-label={asks}>
              <p className="font-semibold">{asks}</p>
              <div className="mt-1 flex gap-2">
                {yesNoUnknown.map((answer: YesNoUnknown) => (
                  <button
                    key={answer}
                    type="button"
                    aria-pressed={sheet[name] === answer}
                    className={choice(sheet[name] === answer)}
                    onClick={() => put({ [name]: answer })}
                  >
                    {answer === 'unknown' ? 'not known' : answer}
                  </button>
                ))}
              </div>
            </div>
          ))}
          <div role="group" aria-label="Who was called">
            <p className="font-semibold">Who was called</p>
            <div className="mt-1 flex flex-wrap gap-2">
              {called.map((c) => (
                <button
                  key={c}
                  type="button"
                  aria-pressed={sheet.called === c}
                  className={choice(sheet.called === c)}
                  onClick={() => put({ called: c })}
                >
                  {c}
                </button>
              ))}
            </div>
          </div>
          <label className="block font-semibold">
            In a few words
            <TextArea
              className="mt-1 block w-full"
              value={sheet.note}
              rows={2}
              maxLength={1000}
              onChange={(event) => put({ note: event.target.value })}
            />
          </label>
        </div>
      </div>
      <div className="mt-5 flex flex-wrap items-center gap-4 border-t-4 border-ink pt-4">
        <Button className="min-h-16 min-w-64 text-xl" onClick={() => save()}>
          Save the sheet
        </Button>
        <Button
          look="line"
          className="min-h-16"
          onClick={() => {
            forgetEntry(kept.key).catch((error: unknown) => console.error('The sheet could not be forgotten:', error));
            close();
          }}
        >
          Nothing happened
        </Button>
        <p className="max-w-md">
          Tests that ran are held: their tries are kept without a result and are done again. The readiness questions
          lapse with the sheet.
        </p>
        <p role="alert" className="font-semibold text-stop">
          {fault}
        </p>
      </div>
    </>
  );
}

interface Named {
  readonly id: string;
  readonly name: string;
}

/** Everybody named on the page under the sheet: they can be chosen while no server answers. */
function peopleOnPage(): Named[] {
  const listed = [...document.querySelectorAll<HTMLElement>('[data-listed-person]')].map((e) => ({
    id: e.dataset['listedPerson'] ?? '',
    name: e.dataset['personName'] ?? '',
  }));
  const linked = [...document.querySelectorAll<HTMLAnchorElement>('main a[href^="/people/"]')].flatMap((a) => {
    const id = /^\/people\/([\w-]{16,64})$/.exec(a.getAttribute('href') ?? '')?.[1];
    return id === undefined ? [] : [{ id, name: a.textContent.trim() }];
  });
  const byId = new Map([...linked, ...listed].filter((p) => p.id !== '' && p.name !== '').map((p) => [p.id, p]));
  return [...byId.values()];
}

const most = 6;

function Who({ kept, who }: { kept: KeptEntry; who: (id: string, name: string) => void }) {
  const [typed, setTyped] = useState('');
  const [near] = useState(peopleOnPage);
  const [lines, setLines] = useState<readonly RegisterLine[]>([]);
  useEffect(() => {
    if (typed.trim() === '') return;
    const asking = new AbortController();
    fetchLines({ search: typed.trim(), limit: 5 }, asking.signal).then(
      (answer) => setLines(answer?.lines ?? []),
      () => undefined,
    );
    return () => asking.abort();
  }, [typed]);
  if (kept.personId !== '')
    return (
      <p className="text-xl">
        About <b>{kept.personName}</b>{' '}
        <Button look="plain" onClick={() => who('', '')}>
          somebody else
        </Button>
      </p>
    );
  const found = typed.trim() === '' ? [] : lines.map(({ id, name }) => ({ id, name }));
  const here = matching(near, typed).filter((p) => !found.some((f) => f.id === p.id));
  return (
    <div>
      <label className="block font-semibold">
        Who is it about? It can be said later too.
        <TextBox
          className="mt-1 block w-80 max-w-full"
          value={typed}
          onChange={(event) => setTyped(event.target.value)}
        />
      </label>
      <div className="mt-1 flex flex-wrap gap-2">
        {[...found, ...here].slice(0, most).map(({ id, name }) => (
          <Button key={id} look="line" onClick={() => who(id, name)}>
            {name}
          </Button>
        ))}
      </div>
    </div>
  );
}
