'use client';
import { dials } from '../touch/dials';
import { DialogTitle } from '@headlessui/react';
import { useState } from 'react';
import { cautions } from '../../catalogue/cautions/cautions';
import {
  incidentKinds,
  yesNoUnknown,
  type EntryContent,
  type IncidentKind,
  type YesNoUnknown,
} from '../../core/shapes/intake';
import { SignMark } from '../drawing/stateMark';
import { sendEntry } from '../test/bench/sending';
import { forgetEntry, keepEntry, type KeptEntry } from '../test/bench/store';
import { Button } from '../touch/button';
import { TextArea } from '../touch/field';
import { useOneAtATime } from '../touch/useOneAtATime';
import { incidentWords } from '../words';
import { IncidentWho } from './incidentWho';

export type Sheet = Extract<EntryContent, { kind: 'incident' }>;

const called = ['emergency number', 'contact', 'clinician', 'nobody yet'] as const;

/** Keeps the sheet as it is written; where the browser cannot, saving it sends it straight away. */
export function keepSheet(entry: KeptEntry): void {
  keepEntry(entry).catch((error: unknown) => console.error('The sheet is held on this page only:', error));
}

/** A sheet of this moment, on which nothing is said yet. */
export function emptySheet(): Sheet {
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
export function IncidentSheet({ kept, emergencyNumber, change, close }: SheetProps) {
  const [fault, setFault] = useState('');
  const sheet = kept.content as Sheet;
  const put = (more: Partial<Sheet>) => {
    const next = { ...kept, content: { ...sheet, ...more } };
    change(next);
    keepSheet(next);
  };
  const who = (id: string, name: string) => {
    const next = { ...kept, personId: id, personName: name };
    change(next);
    keepSheet(next);
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
          <SignMark sign="stop" /> Hold
        </DialogTitle>
        <p className="text-xl">
          {emergencyNumber === '' ? (
            <b>Call the emergency number of your place.</b>
          ) : (
            <>
              Emergency:{' '}
              <a
                href={dials(emergencyNumber)}
                className="num inline-flex min-h-16 items-center text-[64px] leading-none font-bold underline decoration-4 underline-offset-8"
                aria-label={`Call ${emergencyNumber}`}
              >
                {emergencyNumber}
              </a>
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
          call{' '}
          {emergencyNumber === '' ? (
            'the emergency number'
          ) : (
            <a href={dials(emergencyNumber)} className="num underline">
              {emergencyNumber}
            </a>
          )}{' '}
          now.
        </p>
      )}
      <div className="mt-4 grid gap-x-10 gap-y-4 lg:grid-cols-2">
        <div className="space-y-4">
          <IncidentWho kept={kept} who={who} />
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
