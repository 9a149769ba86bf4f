'use client';
import { yupResolver } from '@hookform/resolvers/yup';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { useForm, useWatch, type FieldPath } from 'react-hook-form';
import { walkingAids } from '../../../core/shapes/facts';
import type { EntryOf, IntakeSection } from '../../../core/shapes/intake';
import type { FieldError } from '../../../schemas/parse';
import { putAt, type Clash } from '../../../core/math/mergeChanges';
import { personForm, personItem, type PersonForm } from '../../../schemas/person';
import { newClientKey } from '../../test/bench/store';
import { Button, ButtonLink } from '../../touch/button';
import { FootBar } from '../../touch/footBar';
import { Clashes } from '../../touch/clashes';
import { typedNumber } from '../../touch/typed';
import { useOneAtATime } from '../../touch/useOneAtATime';
import { aidWords, dayWords, sectionWords } from '../../words';
import { clashTitle, clashWords } from './clashWords';
import { FallList } from './fallList';
import { Part, Tick } from './fields';
import { MeasureField } from '../../touch/measureField';
import { Follows } from './follows';
import { LimiterList } from './limiterList';
import { PainList, type PainAsked } from './painList';
import { Choice, Field, TextBox } from '../../touch/field';

export interface DoubleFound {
  readonly id: string;
  readonly name: string;
  readonly birthDate: string;
  readonly archived: boolean;
}

export type SavePersonAnswer =
  | { kind: 'saved'; id: string }
  | { kind: 'rejected'; errors: readonly FieldError[] }
  | { kind: 'double'; doubles: readonly DoubleFound[] }
  | { kind: 'conflict'; id: string; name: string }
  | { kind: 'changed'; theirs: PersonForm; merged: PersonForm; clashes: readonly Clash[] }
  | { kind: 'not-found' };

/** What a form says besides what is typed: that it is somebody else than the one found, or what it was opened with. */
export interface SaveMore {
  readonly evenSo: boolean;
  readonly opened: object | null;
}

interface Props {
  readonly today: string;
  readonly start: PersonForm;
  readonly asked: readonly PainAsked[];
  readonly notedFalls: readonly EntryOf<'fall'>[];
  /** @param key made when the form was opened, so that a form sent twice is noted once */
  readonly save: (form: object, key: string, more: SaveMore) => Promise<SavePersonAnswer>;
  readonly isNew: boolean;
  readonly backTo: string;
  /** Something in this record cannot be true, such as a test before the birth date. */
  readonly unreadable?: boolean;
}

const tables = [
  ['female', 'women'],
  ['male', 'men'],
  [null, 'left open'],
] as const;

const lasting = [
  ...(['knee-replaced', 'hip-replaced', 'recent-surgery', 'fragile-bone', 'spine-fracture'] as const),
  ...(['height-lost', 'lost-limb'] as const),
] as const;
const nerves = ['poor-sight', 'hearing', 'dizziness', 'numb-feet', 'neurological'] as const;
const further = ['lungs', 'other'] as const;
const floor = ['cannot-lie', 'cannot-kneel', 'head-low'] as const;

/** From one part of the form to the next or the one before, so that nobody goes through every tick on the way. */
function toPart(form: HTMLElement, by: 1 | -1): void {
  const parts = [...form.querySelectorAll('fieldset')];
  const at = parts.findIndex((part) => part.contains(document.activeElement));
  const part = parts[at < 0 ? 0 : at + by];
  part?.querySelector<HTMLElement>('input, select, button')?.focus();
}

/** One calm page, in the order people talk; what follows from the answers stands beside it. */
export function IntakeForm({ today, start, asked, notedFalls, save, isNew, backTo, unreadable = false }: Props) {
  const router = useRouter();
  const [fault, setFault] = useState<string | null>(null);
  const [doubles, setDoubles] = useState<readonly DoubleFound[]>([]);
  const [key] = useState(newClientKey);
  // What the register held when this form was opened, or when it last said that it holds something else by now.
  const [opened, setOpened] = useState(start);
  const [clashes, setClashes] = useState<readonly Clash[]>([]);
  // Fields that keep what is typed to themselves are made anew with what was brought together.
  const [shown, setShown] = useState({ values: start, version: 0 });
  const form = useForm<PersonForm>({
    defaultValues: start,
    resolver: yupResolver(personForm(today) as never, { strict: true, abortEarly: false }),
  });
  const { register, formState, handleSubmit, setError, setValue, control } = form;
  const now = useWatch({ control }) as PersonForm;
  const { errors, isSubmitting } = formState;

  const show = (values: PersonForm) => {
    form.reset(values);
    setShown(({ version }) => ({ values, version: version + 1 }));
  };
  const settle = (clash: Clash, value: unknown) => {
    show(putAt(form.getValues(), clash.path, value, personItem));
    setClashes((left) => left.filter((c) => c !== clash));
  };
  const submit = useOneAtATime(async (evenSo: boolean) => {
    let left = false;
    if (clashes.length > 0) {
      setFault('Say above which is right, then save again.');
      return true;
    }
    await handleSubmit(async (values) => {
      setFault(null);
      const answer = await save(values, key, { evenSo, opened }).catch(() => null);
      left = answer?.kind === 'saved';
      if (answer === null) setFault('The server did not answer. What you wrote is still here; save again.');
      else if (answer.kind === 'saved') router.push(`/people/${answer.id}${isNew ? '/readiness' : ''}`);
      else if (answer.kind === 'not-found') setFault('This person is no longer in the register.');
      else if (answer.kind === 'double') setDoubles(answer.doubles);
      else if (answer.kind === 'conflict')
        setFault(`This form was saved before, for ${answer.name}, with other answers. Open their intake to change it.`);
      else if (answer.kind === 'changed') {
        show(answer.merged);
        setOpened(answer.theirs);
        setClashes(answer.clashes);
        setFault('Not saved yet: say above which is right.');
      } else
        for (const { path, message } of answer.errors)
          setError(path.slice(1).replace(/\//g, '.') as FieldPath<PersonForm>, { message });
    })();
    return !left;
  });

  const faultOf = (name: keyof PersonForm) => errors[name]?.message;
  const text = (name: FieldPath<PersonForm>) => {
    const wrong = form.getFieldState(name, formState).error?.message !== undefined;
    return { ...register(name), id: name, 'aria-invalid': wrong, 'aria-describedby': `${name}-fault` };
  };
  const measure = (name: 'heightCm' | 'massKg' | 'shankCm' | 'kneecapCm' | 'hipBoneCm' | 'seatHeightCm') => ({
    name,
    value: shown.values[name],
    set: (value: number | string | null) => setValue(name, value as never),
    fault: faultOf(name),
  });
  const set =
    <K extends keyof PersonForm>(name: K) =>
    (value: PersonForm[K]) =>
      setValue(name, value as never);
  const limiterList = {
    ...{ limiters: now.limiters, change: set('limiters'), today },
    faults: Array.isArray(errors.limiters) ? errors.limiters : [],
  };
  const askedNow = (...sections: IntakeSection[]) =>
    setValue(
      'toComplete',
      now.toComplete.filter((s) => !sections.includes(s)),
    );
  const open = (section: IntakeSection) => now.toComplete.includes(section);

  return (
    <form
      onSubmit={(event) => {
        event.preventDefault();
        submit(false);
      }}
      noValidate
      className="pt-5"
      onKeyDown={(event) => {
        const part = event.key === 'F2';
        // Saves from every field, not only from those one writes in.
        const saves = event.key === 'Enter' && event.target instanceof HTMLSelectElement;
        if (!part && !saves) return;
        event.preventDefault();
        if (part) toPart(event.currentTarget, event.shiftKey ? -1 : 1);
        else event.currentTarget.requestSubmit();
      }}
    >
      <h1 className="text-2xl font-extrabold">{isNew ? 'Add a person' : `Intake: ${start.name}`}</h1>
      {unreadable && (
        <p role="alert" className="mt-3 border-l-8 border-watch bg-board p-3">
          <b>This record cannot be shown:</b> something in it cannot be true, most often a birth date after a test. Look
          at the birth date and save; nothing was lost, and everybody else is as before.
        </p>
      )}
      {start.toComplete.length > 0 && (
        <div className="mt-3 border-l-8 border-watch bg-board p-3">
          <p>
            <b>To complete:</b> what was not asked yet is taken as present. Tick what you have asked now.
          </p>
          <div className="flex flex-wrap gap-x-6">
            {start.toComplete.map((section) => (
              <Tick
                key={section}
                checked={!open(section)}
                set={(on) => (on ? askedNow(section) : setValue('toComplete', [...now.toComplete, section]))}
              >
                {sectionWords[section]}
              </Tick>
            ))}
          </div>
        </div>
      )}
      <Clashes clashes={clashes} title={clashTitle} words={clashWords} settle={settle} />
      <div className="mt-4 grid items-start gap-x-10 gap-y-6 lg:grid-cols-[1fr_330px]">
        <div key={shown.version} className="min-w-0 space-y-6">
          <Part title="Who">
            <div className="flex flex-wrap gap-x-5">
              <Field label="Name" name="name" fault={faultOf('name')}>
                <TextBox className="mt-1 block w-64 max-w-full" {...text('name')} />
              </Field>
              <Field label="Birth date" name="birthDate" fault={faultOf('birthDate')}>
                <TextBox num className="mt-1 block w-44" {...text('birthDate')} type="date" />
              </Field>
              <div role="group" aria-label="Norm table to read from">
                <p className="font-semibold">Norm table to read from</p>
                <div className="flex flex-wrap gap-x-5">
                  {tables.map(([value, words]) => (
                    <Tick
                      key={words}
                      type="radio"
                      name="normTable"
                      checked={now.normTable === value}
                      set={() => setValue('normTable', value)}
                    >
                      {words}
                    </Tick>
                  ))}
                </div>
                <p className="text-sm font-semibold text-stop">{faultOf('normTable')}</p>
              </div>
            </div>
          </Part>
          <Part title="Body and chair">
            <div className="flex flex-wrap gap-x-5">
              <MeasureField label="Height" measure="height" {...measure('heightCm')} />
              <MeasureField label="Mass" measure="mass" {...measure('massKg')} />
              <MeasureField label="Seat" measure="length" {...measure('seatHeightCm')} />
              <MeasureField label="Shank" measure="length" {...measure('shankCm')} />
              <MeasureField label="Kneecap" measure="length" {...measure('kneecapCm')} />
              <MeasureField label="Hip bone" measure="length" {...measure('hipBoneCm')} />
            </div>
            <p className="text-sm text-ink-soft">
              Seat: of the chair they are tested on. Shank, middle of the kneecap and front crest of the hip bone from
              the floor, in shoes; leave out what was not measured.
            </p>
          </Part>
          <Part title="What hurts" about="tap it, say how much, 0 to 10">
            <PainList
              pains={now.pains}
              change={set('pains')}
              asked={asked}
              today={today}
              faultAt={(pain) => errors.pains?.[now.pains.indexOf(pain)]?.level?.message}
            />
          </Part>
          <Part title="Joints, operations, bones">
            <LimiterList kinds={lasting} {...limiterList} />
          </Part>
          <Part title="Sight, hearing, balance, nerves">
            <LimiterList kinds={nerves} {...limiterList} />
          </Part>
          <Part title="Down on the floor">
            <LimiterList kinds={floor} {...limiterList} />
          </Part>
          <Part title="Lungs, and anything else">
            <LimiterList kinds={further} {...limiterList} />
          </Part>
          <Part title="Falls" about="the last twelve months">
            <FallList
              noted={notedFalls}
              withdrawn={now.withdrawn}
              takeBack={set('withdrawn')}
              falls={now.falls}
              change={set('falls')}
              faultAt={(i) => errors.falls?.[i]?.fellOn?.message}
              today={today}
            />
          </Part>
          <Part title="Getting about">
            <div className="flex flex-wrap items-start gap-x-6">
              {(['aidIndoors', 'aidOutdoors'] as const).map((name) => (
                <Field
                  key={name}
                  label={name === 'aidIndoors' ? 'Walking aid indoors' : 'Walking aid outdoors'}
                  name={name}
                  fault={faultOf(name)}
                >
                  <Choice className="mt-1 block w-44" {...text(name)}>
                    {walkingAids.map((aid) => (
                      <option key={aid} value={aid}>
                        {aidWords[aid]}
                      </option>
                    ))}
                  </Choice>
                </Field>
              ))}
              <Field label="Classes so far" name="classesSoFar" fault={faultOf('classesSoFar')}>
                <TextBox
                  num
                  className="mt-1 block w-24"
                  {...text('classesSoFar')}
                  {...register('classesSoFar', { setValueAs: (v: unknown) => typedNumber(v, null) })}
                  inputMode="numeric"
                />
              </Field>
              <div>
                <Tick checked={now.sitsUnsupported} set={set('sitsUnsupported')}>
                  sits without a back or arms
                </Tick>
                <Tick checked={now.heelDownAtTarget} set={set('heelDownAtTarget')}>
                  heels seen down in a squat
                </Tick>
              </div>
              <div>
                <Tick checked={now.followsTask} set={set('followsTask')}>
                  follows a shown task
                </Tick>
                <Tick checked={now.armsFree} set={set('armsFree')}>
                  both arms free to hold on
                </Tick>
              </div>
            </div>
          </Part>
          <Part title="Medicines and people to call">
            <div className="flex flex-wrap gap-x-6">
              <Field label="Medicines, in their words" name="medicines" fault={faultOf('medicines')}>
                <TextBox className="mt-1 block w-96 max-w-full" {...text('medicines')} />
              </Field>
              <div>
                <Tick checked={now.bloodThinners} set={set('bloodThinners')}>
                  thins the blood
                </Tick>
                <Tick checked={now.sugarLowering} set={set('sugarLowering')}>
                  lowers sugar
                </Tick>
              </div>
            </div>
            <Tick checked={now.aloneAtHome} set={set('aloneAtHome')}>
              nobody at home while they train there
            </Tick>
            {(['contact', 'clinician'] as const).map((who) => (
              <div key={who} className="flex flex-wrap gap-x-5">
                <Field
                  label={who === 'contact' ? 'Contact' : 'Clinician'}
                  name={`${who}.name`}
                  fault={errors[who]?.name?.message}
                >
                  <TextBox className="mt-1 block w-72 max-w-full" {...text(`${who}.name`)} />
                </Field>
                <Field label="Telephone" name={`${who}.phone`} fault={errors[who]?.phone?.message}>
                  <TextBox num className="mt-1 block w-48" {...text(`${who}.phone`)} inputMode="tel" />
                </Field>
              </div>
            ))}
          </Part>
        </div>
        <div className="lg:sticky lg:top-5">
          <Follows form={now} notedFalls={notedFalls} today={today} />
        </div>
      </div>
      <FootBar>
        <Button type="submit" disabled={isSubmitting} className="sm:min-w-56 text-lg max-sm:px-3">
          {isNew ? 'Save, then the questions' : 'Save the intake'}
        </Button>
        <ButtonLink look="plain" href={backTo}>
          Leave without saving
        </ButtonLink>
        <div role="alert" className="font-semibold">
          {doubles.length > 0 ? (
            <p className="flex flex-wrap items-center gap-x-4">
              <span>Perhaps in the register already, nothing was saved yet:</span>
              {doubles.map((d) => (
                <a key={d.id} href={`/people/${d.id}`} className="text-squat underline">
                  {d.name}, born {dayWords(d.birthDate)}
                  {d.archived && ', put aside'}
                </a>
              ))}
              <Button look="line" onClick={() => submit(true)}>
                Somebody else: add them
              </Button>
            </p>
          ) : (
            <p className="text-stop">
              {fault ??
                (Object.keys(errors).length > 0 ? 'Nothing was saved yet: the marked fields need another look.' : '')}
            </p>
          )}
        </div>
      </FootBar>
    </form>
  );
}
