import { normsVersion, protocols } from '../catalogue/protocols';
import {
  askFirstKinds,
  limiterKinds,
  outcomes,
  patterns,
  readinessOutcomes,
  supports,
  walkingAids,
} from '../core/shapes/facts';
import { deviceEventKinds, deviceIds } from '../core/shapes/device';
import { stopReasons } from '../core/shapes/attempt';
import { squatRules, splitRules, tasks } from '../core/load/check';
import { armWays, copRefs, loadPlaces, usualLimits } from '../core/load/setUp';
import { loadedJoints } from '../core/shapes/ladder';
import { formCheckCodes } from '../core/shapes/move';
import { ownLoads, ownPlaces, ownStances } from '../core/shapes/own';
import { registerFilters, registerSorts } from '../core/shapes/register';
import { answerColumns, scoreColumns } from '../formats/scoreCsv';
import { dayEventKinds } from '../schemas/dayNote';
import { ownFormat, ownFormatVersion } from '../schemas/own';
import { bodyLimits } from '../schemas/requests';
import { classLogKinds } from '../schemas/classLog';
import { saidWords } from '../schemas/word';
import { turns } from '../core/shapes/classPlan';
import { theBlocks } from './classTemplates';

type Json = Readonly<Record<string, unknown>>;

const text: Json = { type: 'string' };
const yesNo: Json = { type: 'boolean' };
const date: Json = { type: 'string', format: 'date' };
const oneOf = (values: readonly string[]): Json => ({ type: 'string', enum: [...values] });
const orNull = (schema: Json): Json => ({ anyOf: [schema, { type: 'null' }] });
const listOf = (items: Json): Json => ({ type: 'array', items });
const between = ([minimum, maximum]: readonly [number, number], type = 'number'): Json => ({ type, minimum, maximum });
/** Unknown fields are refused by name, never dropped. */
const exactly = (properties: Json, required: readonly string[] = []): Json => ({
  type: 'object',
  properties,
  ...(required.length > 0 ? { required: [...required] } : {}),
  additionalProperties: false,
});
const json = (schema: Json, example?: Json): Json => ({
  content: { 'application/json': { schema, ...(example ? { example } : {}) } },
});
const ref = (name: string): Json => ({ $ref: `#/components/schemas/${name}` });
const parameter = (name: string, place: 'path' | 'query', schema: Json): Json => ({
  name,
  in: place,
  required: place === 'path',
  schema,
});
const number: Json = { type: 'number' };
const numbers = (...names: readonly string[]): Json => Object.fromEntries(names.map((name) => [name, number]));

/** The movements of a hall's own, as they are given out and taken in. */
const ownFileSchema = exactly(
  {
    format: oneOf([ownFormat]),
    formatVersion: between([1, ownFormatVersion], 'integer'),
    exercises: listOf(
      exactly({
        ...{ id: text, version: between([1, 100_000], 'integer'), aside: yesNo, name: text, does: text, trains: text },
        ...{ pattern: oneOf(patterns), beside: orNull(between([1, 9], 'integer')) },
        ...{ stance: oneOf(ownStances), hands: oneOf(supports), dose: oneOf(['reps', 'holds']) },
        ...{ aSide: yesNo, floor: yesNo, slides: yesNo, impact: yesNo, weight: yesNo },
        loads: {
          ...exactly(Object.fromEntries(loadedJoints.map((joint) => [joint, oneOf(ownLoads)]))),
          description: 'left out counts as much',
        },
        needs: listOf(exactly({ fact: text, atLeast: number }, ['fact', 'atLeast'])),
        ...{ places: listOf(oneOf(ownPlaces)), closedBy: listOf(oneOf(limiterKinds)) },
        checks: listOf(oneOf(formCheckCodes)),
      }),
    ),
  },
  ['format', 'formatVersion', 'exercises'],
);

/** Every field of every task of the load model. */
const loadRequest = exactly(
  {
    task: oneOf(tasks),
    ...numbers('heightM', 'massKg', 'loadKg', 'toeFraction', 'seatHeightM', 'hipHeightM', 'heelLiftM'),
    ...numbers(...Object.keys(usualLimits)),
    arms: oneOf(armWays),
    loadAt: oneOf(loadPlaces),
    copRef: oneOf(copRefs),
    support: exactly(
      { ...numbers('fxPct', 'fyPct', 'xFromToeM', 'handHeightM'), hands: { type: 'integer', enum: [1, 2] } },
      ['xFromToeM', 'handHeightM'],
    ),
    rule: oneOf([...squatRules, ...splitRules.filter((rule) => rule !== 'pose')]),
    ...numbers('trunkPerShank', 'shankDeg', 'kneePastToeM', 'trunkDeg', 'kneeFlexDeg'),
    ...numbers('kneeLimit', 'hipLimit', 'limit'),
    joint: oneOf(['knee', 'hip']),
    ...numbers('stepM', 'rearFootDeg', 'frontShare'),
    bracePct: { anyOf: [number, { const: 'auto' }] },
    ...numbers('heelToButtockM', 'hipFlexDeg', 'heelPullPct'),
    singleLeg: yesNo,
    otherLeg: oneOf(['straight', 'tucked']),
  },
  ['task', 'heightM', 'massKg'],
);
/** The first reference case. */
export const loadExample = { task: 'squat', heightM: 1.68, massKg: 70, arms: 'crossed', seatHeightM: 0.45 };

const problems = (...statuses: readonly number[]): Json =>
  Object.fromEntries(
    [...statuses, 403, 421, 500].map((status) => [
      String(status),
      {
        description: problemWords[status],
        content: { 'application/problem+json': { schema: ref('Problem') } },
      },
    ]),
  );
const problemWords: Readonly<Record<number, string>> = {
  400: 'Not JSON, or not UTF-8',
  403: 'A foreign Host or Origin',
  404: 'Nothing there',
  409: 'Something else stands there already; both are kept',
  413: 'Over 5 MB, counted while reading',
  415: 'Another kind of content',
  421: 'The Register-Id header names another register',
  422: 'Fields that need another look, one error each',
  500: 'Something broke; nothing was half-written',
  503: 'Too many pages listen at once',
};

const person = exactly({
  age: between(bodyLimits.ageYears, 'integer'),
  birthDate: { ...date, description: 'may stand for age; testedOn is then needed' },
  sex: {
    enum: ['female', 'male', null],
    description: 'the norm table; null: both are answered, the cautious one used',
  },
  heightCm: orNull(between(bodyLimits.heightCm)),
  kneeHeightCm: { ...orNull(between(bodyLimits.kneeCm)), description: 'of the kneecap; else 0.285 of the height' },
  massKg: orNull(between(bodyLimits.massKg)),
});

const seconds = (name: string): readonly [string, Json] => [name, between([0, 10])];

const result = exactly(
  {
    test: oneOf(protocols.map((p) => p.id)),
    side: { enum: ['L', 'R', null] },
    outcome: oneOf(outcomes),
    value: { type: ['number', 'null'], description: 'in the unit of the test; the two walks in s' },
    testedOn: date,
    seatHeightCm: orNull(between(bodyLimits.seatCm)),
    handsUsed: yesNo,
    cleanBeforeHands: { type: ['integer', 'null'] },
    trials: { anyOf: [listOf({ type: 'number' }), { type: 'null' }] },
    capS: { type: ['number', 'null'] },
    seconds: orNull(exactly(Object.fromEntries(['sideBySide', 'semiTandem', 'tandem', 'oneLeg'].map(seconds)))),
    help: { enum: ['none', 'furniture', 'person', null] },
  },
  ['test'],
);

const scoreRequest = exactly({ person, testedOn: date, results: listOf(result) }, ['person', 'results']);

const onLadder = { pattern: oneOf(patterns), rung: between([1, 9], 'integer') };
const shown = exactly({ ...onLadder, on: date }, ['pattern', 'rung']);
const levelsRequest = exactly(
  {
    ...{ person, testedOn: date, results: listOf(result), readiness: oneOf(readinessOutcomes) },
    askFirstKind: oneOf(askFirstKinds),
    limiters: listOf(
      exactly(
        {
          kind: oneOf(limiterKinds),
          side: { enum: ['L', 'R', null] },
          pain: orNull(between([0, 10], 'integer')),
          since: { anyOf: [date, { type: 'string', pattern: '^(19|20)\\d\\d$' }, { type: 'null' }] },
          askedOn: {
            ...date,
            description: 'of a pain; several of a kind and side are its answers, the newest in force',
          },
          site: { enum: ['eye', null], description: 'of recent surgery: the eye heals sooner' },
          limitsLifted: yesNo,
          names: listOf({ ...text, description: 'rungs a release names, such as S8' }),
          closes: listOf(oneOf(patterns)),
          text,
        },
        ['kind'],
      ),
    ),
    ...{
      falls12m: between([0, 100], 'integer'),
      injuredInFall: yesNo,
      lastFallOn: date,
      walkingAid: oneOf(walkingAids),
    },
    ...{ aidIndoors: yesNo, floorSlides: yesNo, numbFeet: yesNo, sitsUnsupported: yesNo, heelDownAtTarget: yesNo },
    ...{ followsTask: yesNo, armsFree: yesNo, heelUpTwice: yesNo, backThighTight: yesNo },
    lightWhileAsking: { ...yesNo, description: 'light work goes on while a known disease is asked about' },
    wishes: listOf(oneOf(['stairs', 'wide-stance'])),
    sessionsLogged: between([0, 10_000], 'integer'),
    missedWeeks: between([0, 520], 'integer'),
    shownSeatCm: orNull(between(bodyLimits.seatCm, 'integer')),
    liftHeightCm: orNull(between([0, 80], 'integer')),
    shown: listOf(shown),
    held: listOf(exactly({ ...onLadder, seconds: between([0, 600]), on: date }, ['pattern', 'rung', 'seconds'])),
    lastConfirmed: {
      ...listOf(exactly({ ...onLadder, support: oneOf(supports) }, ['pattern', 'rung', 'support'])),
      description: 'one a ladder',
    },
    setByHand: {
      ...listOf(exactly({ ...onLadder, support: oneOf(supports), reason: text }, ['pattern', 'rung', 'reason'])),
      description: 'one a ladder; past a limiter, the floor transfer, balance or the hall it is refused',
    },
    kit: exactly(
      {
        chairs: listOf(exactly({ heightCm: between(bodyLimits.seatCm, 'integer'), arms: yesNo }, ['heightCm'])),
        padsCm: listOf(between([1, 20], 'integer')),
        weightsKg: listOf(between([0.1, 50])),
        stepsCm: listOf(between([1, 60], 'integer')),
        ...{ raisedSurface: yesNo, rail: yesNo, wedge: yesNo, mat: yesNo, box: yesNo },
        boxes: listOf(exactly({ heightCm: orNull(between([5, 80], 'integer')), count: between([0, 200], 'integer') })),
      },
      ['chairs'],
    ),
    style: oneOf(['hips-back', 'upright', 'square']),
    impactCleared: yesNo,
  },
  ['person'],
);

export const scoreExample = {
  person: { age: 77, sex: 'female', heightCm: 160, massKg: 64 },
  testedOn: '2026-03-02',
  results: [
    { test: 'chair-stand-30s', value: 9, seatHeightCm: 43.2 },
    { test: 'one-leg', side: 'L', value: 6.4 },
    { test: 'gait-4m', value: 4.6 },
  ],
} as const;

export const levelsExample = {
  person: { age: 77, sex: 'female', heightCm: 160, massKg: 64 },
  testedOn: '2026-03-02',
  results: [{ test: 'chair-stand-30s', value: 9, seatHeightCm: 43 }],
  readiness: 'ready',
  kit: { chairs: [{ heightCm: 43, arms: false }], padsCm: [3] },
} as const;

/** What the open interface offers, in OpenAPI 3.1; a test holds it against the handlers. */
export function apiDescription(): Json {
  const csv = `One row a result: ${scoreColumns.join(', ')}. The answer has the same rows and ${answerColumns.join(', ')}; a bad row has its fault in error.`;
  const answers = (schema: Json, ...statuses: readonly number[]): Json => ({
    '200': { description: 'Answered', ...json(schema) },
    ...problems(...statuses),
  });
  const anything: Json = { type: 'object' };
  return {
    openapi: '3.1.0',
    info: {
      title: 'Ready Stool',
      version: normsVersion,
      description:
        'Fitness screening, not a diagnosis. On this machine only: a foreign Host or Origin is refused. Unknown fields are refused by name.',
    },
    paths: {
      '/api/v1/score': {
        post: {
          summary: 'Scores results that are kept nowhere',
          description: csv,
          requestBody: {
            required: true,
            content: {
              'application/json': { schema: scoreRequest, example: scoreExample },
              'text/csv': { schema: text },
            },
          },
          responses: answers(anything, 400, 413, 415, 422),
        },
      },
      '/api/v1/levels': {
        post: {
          summary: 'Levels from facts that are kept nowhere',
          requestBody: { required: true, ...json(levelsRequest, levelsExample) },
          responses: answers(anything, 400, 413, 415, 422),
        },
      },
      '/api/v1/load': {
        post: {
          summary: 'A set-up kept nowhere, to posture, moments per leg and feasibility (docs/load-model.md)',
          description:
            'Which fields belong to which task, and from where to where each may go, is told in errors, each with its code. An infeasible posture that was solved has its numbers too: no advice.',
          requestBody: { required: true, ...json(loadRequest, loadExample) },
          responses: answers(anything, 400, 413, 415, 422),
        },
      },
      '/api/v1/people': {
        get: {
          summary: 'Lines of the register',
          parameters: [
            parameter('search', 'query', text),
            parameter('filter', 'query', oneOf(registerFilters)),
            parameter('groupId', 'query', text),
            parameter('sort', 'query', oneOf(registerSorts)),
            parameter('down', 'query', yesNo),
            parameter('offset', 'query', between([0, 1_000_000], 'integer')),
            parameter('limit', 'query', between([1, 200], 'integer')),
          ],
          responses: answers(anything, 422),
        },
        post: {
          summary: 'Adds a person: a name and a birth date are enough',
          description: 'externalId is the partner’s own; sent again with the same content it is the same person.',
          requestBody: { required: true, ...json({ type: 'object', required: ['name', 'birthDate'] }) },
          responses: { '201': { description: 'Added', ...json(anything) }, ...problems(400, 409, 413, 415, 422) },
        },
      },
      '/api/v1/people/{id}': {
        get: {
          summary: 'Who, what is known today, readiness, results of every test, levels',
          parameters: [parameter('id', 'path', text)],
          responses: answers(anything, 404),
        },
      },
      '/api/v1/people/import': {
        post: {
          summary: 'A roster as CSV; dry=true only looks',
          parameters: ['dry', 'id', 'file', 'columns', 'dateOrder', 'units'].map((n) => parameter(n, 'query', text)),
          requestBody: { required: true, content: { 'text/csv': { schema: text } } },
          responses: {
            '201': { description: 'Taken in one transaction', ...json(anything) },
            ...answers(anything, 400, 409, 413, 415, 422),
          },
        },
      },
      '/api/v1/people/import/{id}': {
        delete: {
          summary: 'Takes an import back, but for those of whom more was noted since',
          parameters: [parameter('id', 'path', text)],
          responses: answers(anything, 404),
        },
      },
      '/api/v1/attempts/{clientKey}': {
        put: {
          summary: 'The whole list of events of one attempt; sending it again is harmless',
          parameters: [parameter('clientKey', 'path', { type: 'string', pattern: '^[A-Za-z0-9_-]{8,64}$' })],
          description: `Reasons of a stop: ${stopReasons.join(', ')}. Corrections: strike, add, move, condition. The answer names the key and the register.`,
          requestBody: {
            required: true,
            ...json({
              type: 'object',
              required: ['personId', 'test', 'protocolVersion', 'sittingDate', 'conditions', 'events'],
            }),
          },
          responses: {
            '201': { description: 'First time', ...json(anything) },
            ...answers(anything, 400, 409, 413, 415, 422),
          },
        },
      },
      '/api/v1/entries/{key}': {
        put: {
          summary: 'One dated entry: pain, fall, answers, check of the day, incident',
          parameters: [parameter('key', 'path', text)],
          requestBody: { required: true, ...json({ type: 'object', required: ['personId', 'on', 'content'] }) },
          responses: {
            '201': { description: 'First time', ...json(anything) },
            ...answers(anything, 400, 409, 413, 415, 422),
          },
        },
      },
      '/api/v1/classes/{key}': {
        put: {
          summary: 'The plan of a class: blocks by name, people by id; once a key, and anew until the class begins',
          parameters: [parameter('key', 'path', text)],
          requestBody: {
            required: true,
            ...json(
              exactly(
                {
                  ...{ day: date, groupId: orNull(text), template: text },
                  ...{
                    minutes: between([10, 120], 'integer'),
                    leader: text,
                    helpers: listOf(text),
                    people: listOf(text),
                  },
                  blocks: listOf(
                    exactly({ id: text, of: oneOf([...theBlocks.keys()]), more: between([-9, 9], 'integer') }, [
                      'id',
                      'of',
                      'more',
                    ]),
                  ),
                  turned: listOf(exactly({ personId: text, pattern: oneOf(patterns), way: oneOf(turns) })),
                },
                ['day', 'groupId', 'template', 'minutes', 'leader', 'helpers', 'people', 'blocks'],
              ),
            ),
          },
          responses: {
            '201': { description: 'First time, or planned anew', ...json(anything) },
            ...answers(anything, 400, 409, 413, 415, 422),
          },
        },
        get: {
          summary: 'A class with its plan, who does what of each block, and what every tablet logged',
          parameters: [parameter('key', 'path', text)],
          responses: answers(anything, 404),
        },
      },
      '/api/v1/classes/{key}/logs/{writer}': {
        put: {
          summary: 'The whole log of one tablet; sent again or longer, what is there already stays',
          parameters: [parameter('key', 'path', text), parameter('writer', 'path', text)],
          requestBody: {
            required: true,
            ...json(
              exactly(
                {
                  lines: listOf(
                    exactly(
                      {
                        ...{ seq: between([0, 100_000], 'integer'), wallMs: number, personId: orNull(text) },
                        content: { type: 'object', properties: { kind: oneOf(classLogKinds) }, required: ['kind'] },
                      },
                      ['seq', 'wallMs', 'personId', 'content'],
                    ),
                  ),
                },
                ['lines'],
              ),
            ),
          },
          responses: {
            '201': { description: 'Something of it was new', ...json(anything) },
            ...answers(anything, 400, 409, 413, 415, 422),
          },
        },
      },
      '/api/v1/decisions/{key}': {
        put: {
          summary:
            'The instructor’s word on one ladder: as it is, lower, not this one, higher with a reason; once a key',
          parameters: [parameter('key', 'path', text)],
          requestBody: {
            required: true,
            ...json(
              exactly(
                {
                  personId: text,
                  ...{ word: oneOf(saidWords), pattern: oneOf(patterns), item: orNull(between([1, 9], 'integer')) },
                  seen: { ...text, description: 'the code that the rules give; empty where they give nothing' },
                  ...{ rung: orNull(between([1, 9], 'integer')), support: orNull(oneOf(supports)) },
                  ...{
                    heightCm: orNull(between([5, 80], 'integer')),
                    within: orNull(between([0, 9], 'integer')),
                    dose: orNull(text),
                    loadKg: orNull(between([0, 50])),
                  },
                  why: text,
                },
                ['personId', 'word', 'pattern', 'seen', 'rung', 'support', 'heightCm', 'dose', 'loadKg', 'why'],
              ),
            ),
          },
          responses: {
            '201': { description: 'First time', ...json(anything) },
            ...answers(anything, 400, 409, 413, 415, 422),
          },
        },
      },
      '/api/v1/days/{day}': {
        get: {
          summary: 'A testing day as it stands: what was noted in its order, what was measured, who sits',
          parameters: [parameter('day', 'path', date), parameter('board', 'query', text)],
          responses: answers(anything, 422),
        },
      },
      '/api/v1/days/{day}/notes/{key}': {
        put: {
          summary: 'One note of a testing day: plan, conditions, call, not now, left, walk-in, hold; once a key',
          parameters: [parameter('day', 'path', date), parameter('key', 'path', text)],
          requestBody: {
            required: true,
            ...json(
              exactly(
                {
                  wallMs: { type: 'number', minimum: 0 },
                  event: { type: 'object', required: ['kind'], properties: { kind: oneOf(dayEventKinds) } },
                },
                ['wallMs', 'event'],
              ),
            ),
          },
          responses: {
            '201': { description: 'First time', ...json(anything) },
            ...answers(anything, 400, 409, 413, 415, 422),
          },
        },
      },
      '/api/v1/exercises': {
        get: {
          summary: 'The movements of the hall’s own, each as it is now, as a file to take elsewhere',
          responses: answers(ownFileSchema),
        },
      },
      '/api/v1/exercises/import': {
        post: {
          summary:
            'Takes in such a file, all or nothing: what is new or of a newer version is kept, every fault is named',
          requestBody: { required: true, ...json(ownFileSchema) },
          responses: {
            '201': { description: 'How many were added, changed, and here already', ...json(anything) },
            ...answers(anything, 400, 413, 415, 422),
          },
        },
      },
      '/api/v1/devices/{id}/events': {
        post: {
          summary: 'What a device says; known by its boot and n it is dropped. Passed on, and kept nowhere',
          parameters: [parameter('id', 'path', oneOf(deviceIds))],
          requestBody: {
            required: true,
            ...json(
              exactly(
                {
                  boot: text,
                  sentMs: { type: 'number', minimum: 0 },
                  events: listOf(
                    exactly(
                      {
                        n: { type: 'integer', minimum: 0 },
                        ms: { type: 'number', minimum: 0 },
                        kind: oneOf(deviceEventKinds),
                      },
                      ['n', 'ms', 'kind'],
                    ),
                  ),
                },
                ['boot', 'sentMs', 'events'],
              ),
            ),
          },
          responses: {
            '202': { description: 'Heard: how much was new, and how many pages listen', ...json(anything) },
            ...problems(400, 413, 415, 422),
          },
        },
      },
      '/api/v1/stream': {
        get: {
          summary: 'What devices say, as it comes, with the last half minute told again',
          parameters: [{ ...parameter('devices', 'query', text), required: true, example: 'seat-1,seat-2' }],
          responses: {
            '200': { description: 'Server-sent events', content: { 'text/event-stream': { schema: text } } },
            ...problems(422, 503),
          },
        },
      },
      '/api/v1/openapi.json': {
        get: { summary: 'This description', responses: answers(anything) },
      },
    },
    components: {
      schemas: {
        Problem: {
          type: 'object',
          properties: {
            type: text,
            title: text,
            status: { type: 'integer' },
            detail: text,
            errors: listOf(exactly({ path: { ...text, description: 'JSON Pointer' }, message: text })),
          },
          required: ['type', 'title', 'status', 'detail'],
        },
      },
    },
  };
}
