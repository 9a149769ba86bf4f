'use client';
import { useCallback, useEffect, useState } from 'react';
import { protocolById } from '../../catalogue/protocols';
import { readTrial, ruledBy } from '../../core/measure/readTrial';
import { seenIn } from '../../core/measure/trial';
import type { AttemptEvent } from '../../core/shapes/attempt';
import { entryLine } from '../entryWords';
import type { DayRules } from '../../core/shapes/rules';
import { useFound } from '../frame/useFound';
import { useRules } from '../frame/rules';
import { thisRegister } from '../frame/thisRegister';
import {
  forgetAttempt,
  forgetEntry,
  keepAttempt,
  keepEntry,
  keepEvents,
  keptEntries,
  keptEvents,
  newClientKey,
  type KeptAttempt,
  type KeptEntry,
} from '../test/bench/store';
import { sendAttempt, sendEntry, waitingToSend, type Sent } from '../test/bench/sending';
import { Button, ButtonLink } from '../touch/button';
import { dayWords, newestWords, stopReasonWords } from '../words';
import { TextBox, TickBox } from '../touch/field';

/** Something that waits here, whatever its kind, and what can be done with it. */
interface Item {
  readonly key: string;
  readonly personName: string;
  readonly what: string;
  readonly on: string;
  readonly refused: string | null;
  readonly register: string | null;
  readonly again: () => Promise<Sent>;
  readonly giveTo: (person: { readonly id: string; readonly name: string }) => Promise<Sent>;
  readonly forget: () => Promise<unknown>;
}

/** All that this browser still keeps, one by one: try again, put right whom it is about, or write down and discard. */
export function WaitingScreen() {
  const rules = useRules();
  const [items, setItems] = useState<readonly Item[] | null>(null);
  const look = useCallback(
    () =>
      readItems(rules).then(setItems, (error: unknown) => {
        console.error('What this browser keeps cannot be read:', error);
        setItems([]);
      }),
    [rules],
  );
  useEffect(() => {
    void look();
    const timer = setInterval(() => void look(), 3000);
    return () => {
      clearInterval(timer);
    };
  }, [look]);
  return (
    <div className="max-w-4xl pt-5">
      <h1 className="text-2xl font-extrabold">What waits in this browser</h1>
      <p className="mt-1 text-lg">
        Results and sheets that the register does not have yet. They are sent by themselves; here you can see why one is
        not taken, and do something about it.
      </p>
      {items === null ? (
        <p className="py-6">Looking …</p>
      ) : items.length === 0 ? (
        <p className="flex flex-wrap items-center gap-5 py-6 text-lg" data-testid="nothing-waits">
          <b>Nothing waits: the register has everything.</b>
          <ButtonLink href="/" hard>
            To today
          </ButtonLink>
        </p>
      ) : (
        <ul className="mt-4 space-y-4">
          {items.map((item) => (
            <li key={item.key} className="border-l-8 border-watch bg-board p-4" data-testid="waiting-item">
              <WaitingItem item={item} look={look} />
            </li>
          ))}
        </ul>
      )}
    </div>
  );
}

function WaitingItem({ item, look }: { item: Item; look: () => Promise<void> }) {
  const [doing, setDoing] = useState<'nothing' | 'giving' | 'discarding'>('nothing');
  const [written, setWritten] = useState(false);
  const [said, setSaid] = useState('');
  const tell = async (sending: Promise<Sent>) => {
    setSaid('Sending …');
    const sent = await sending.catch(() => 'later' as const);
    setSaid(sent === 'later' ? 'Not answered yet; it stays here and is sent again.' : '');
    setDoing('nothing');
    await look();
  };
  return (
    <>
      <p className="text-lg">
        <b>{item.personName === '' ? 'Nobody named yet' : item.personName}</b>, {dayWords(item.on)}: {item.what}
      </p>
      <p className="mt-1">{stateOf(item)}</p>
      <div className="mt-3 flex flex-wrap items-center gap-3">
        {item.personName !== '' && <Button onClick={() => void tell(item.again())}>Try again</Button>}
        <Button look={item.personName === '' ? 'main' : 'line'} onClick={() => setDoing('giving')}>
          {item.personName === '' ? 'Say whom it is about' : 'It is of somebody else'}
        </Button>
        <Button look="plain" onClick={() => setDoing('discarding')}>
          Write down and discard
        </Button>
        <span role="status" className="font-semibold">
          {said}
        </span>
      </div>
      {doing === 'giving' && <Choose chosen={(person) => void tell(item.giveTo(person))} />}
      {doing === 'discarding' && (
        <div className="mt-3 border-t-2 border-ink pt-3">
          <p>
            Write on paper: <b>{item.personName === '' ? 'nobody named' : item.personName}</b>, {dayWords(item.on)},{' '}
            {item.what}. After discarding it is nowhere else.
          </p>
          <label className="mt-1 flex min-h-11 cursor-pointer items-center gap-2.5">
            <TickBox checked={written} onChange={(event) => setWritten(event.target.checked)} />I have written it down
          </label>
          <Button look="line" disabled={!written} onClick={() => void item.forget().then(look)}>
            Discard it
          </Button>
        </div>
      )}
    </>
  );
}

function stateOf({ refused, register, personName }: Item): string {
  if (personName === '') return 'It is sent as soon as somebody says whom it is about.';
  if (refused !== null) return `The register did not take it: ${refused}`;
  if (register !== null && register !== thisRegister())
    return 'It was kept for another register than the one open here. Open that one to send it.';
  return 'It is sent as soon as the server answers.';
}

function Choose({ chosen }: { chosen: (person: { id: string; name: string }) => void }) {
  const [typed, setTyped] = useState('');
  const { lines, state } = useFound(typed, 6);
  return (
    <div className="mt-3 border-t-2 border-ink pt-3">
      <label className="block font-semibold">
        Whose is it?
        <TextBox
          className="mt-1 block w-80 max-w-full"
          autoFocus
          value={typed}
          onChange={(event) => setTyped(event.target.value)}
        />
      </label>
      {state === 'no-answer' && (
        <p className="mt-1">The server does not answer: whose it is can be said when it does.</p>
      )}
      <div className="mt-2 flex flex-wrap gap-2">
        {lines.map(({ id, name }) => (
          <Button key={id} look="line" onClick={() => chosen({ id, name })}>
            {name}
          </Button>
        ))}
      </div>
    </div>
  );
}

async function readItems(rules: DayRules): Promise<Item[]> {
  const attempts = await Promise.all(
    (await waitingToSend()).map(async (kept) => attemptItem(kept, await keptEvents(kept.clientKey))),
  );
  const entries = (await keptEntries()).filter((e) => !e.open).map((e) => entryItem(e, rules));
  return [...attempts, ...entries];
}

function attemptItem(kept: KeptAttempt, events: readonly AttemptEvent[]): Item {
  const { clientKey, personName, sittingDate, refused, register } = kept;
  return {
    key: clientKey,
    personName,
    what: attemptWords(kept, events),
    on: sittingDate,
    refused,
    register,
    again: () => sendAttempt({ ...kept, refused: null }),
    // Under a key of its own: what the register may have under the old one stays as it is.
    giveTo: async ({ id, name }) => {
      const given = { ...kept, clientKey: newClientKey(), personId: id, personName: name, refused: null };
      await keepAttempt({ ...given, closed: true, register: thisRegister() });
      await keepEvents(given.clientKey, events);
      await forgetAttempt(clientKey);
      return sendAttempt({ ...given, closed: true, register: thisRegister() });
    },
    forget: () => forgetAttempt(clientKey),
  };
}

/** The test and what came of it, so that it can be written down. */
function attemptWords({ test, protocolVersion }: KeptAttempt, events: readonly AttemptEvent[]): string {
  const protocol = protocolById(test);
  if (!protocol) return test;
  const trial = readTrial(ruledBy(protocol, protocolVersion), events);
  const end =
    trial.stopReason !== null
      ? `, stopped (${stopReasonWords[trial.stopReason].toLowerCase()})`
      : trial.state === 'finished'
        ? ''
        : trial.state === 'to-agree'
          ? ', by a device, waits for a yes'
          : ', broke off';
  const seen = seenIn(trial);
  return `${protocol.title}: ${newestWords({ test, value: seen, handsUsed: trial.handsUsed })}${end}`;
}

function entryItem(kept: KeptEntry, rules: DayRules): Item {
  const { key, personName, on, content, refused, register } = kept;
  return {
    key,
    personName,
    what: entryLine(content, rules),
    on,
    refused,
    register,
    again: () => sendEntry({ ...kept, refused: null }),
    giveTo: async ({ id, name }) => {
      const given: KeptEntry = {
        ...kept,
        key: newClientKey(),
        personId: id,
        personName: name,
        register: thisRegister(),
        refused: null,
      };
      await keepEntry(given);
      await forgetEntry(key);
      return sendEntry(given);
    },
    forget: () => forgetEntry(key),
  };
}
