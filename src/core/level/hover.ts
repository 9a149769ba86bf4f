import {
  ampleAnkleDeg,
  ankleStepDeg,
  lowestToHover,
  seatRow,
  type SeatQuestion,
  type SeatRow,
} from '../load/seatChoice';
import { ankleFromWall, hoverRoomDeg, wallFromAnkle } from '../load/seatTable';
import { roundUpTo } from '../math/round';
import type { Facts } from '../shapes/facts';
import type { HoverRule, HouseRules, LevelRules } from '../shapes/ladder';
import type { Reason } from './answer';
import type { Block } from './blocks';
import { measuredFor } from './cautious';
import type { Readings } from './needs';
import { seatHeights } from './seat';

/** What helps a body over a seat that its ankles do not let it hover over, in the order in which it is thought of. */
const aids = ['none', 'wedge', 'rail'] as const;
export type HoverAid = (typeof aids)[number];

/** Of a body what the question is about. */
type HoverBody = Pick<SeatQuestion, 'heightCm' | 'ankleDeg' | 'shownCm' | 'capCm' | 'loadShare'>;

/** How far the stiffer ankle bends, and where that is known from. */
interface Ankle {
  readonly deg: number;
  readonly reason: Omit<Reason, 'source'>;
}

/** Who hovers, over which seats. */
export interface HoverCase {
  readonly rules: LevelRules;
  readonly facts: Facts;
  readonly readings: Readings;
  /** The lowest seat risen from. */
  readonly shownCm: number;
  /** How high a seat may be wished. */
  readonly capCm: number;
  /** What limiters make of a wish. */
  readonly raised: (wishCm: number) => number;
}

/** The lowest seat that does, for what is in the cupboard. */
export interface HoverSeat {
  readonly aid: HoverAid;
  /** In whole cm, before limiters and the kit. */
  readonly lowestCm: number;
}

const fact = 'target';

/**
 * The lowest seat somebody hovers over: with nothing, else with a wedge under the heels, else with hands that pull on a
 * fixed rail, of what the hall has; or what would open it.
 */
export function hoverSeat(rule: HoverRule, one: HoverCase): HoverSeat | { readonly blocks: readonly Block[] } {
  const { kit } = one.facts;
  const has: Readonly<Record<HoverAid, boolean>> = { none: true, wedge: kit.wedge, rail: kit.rail };
  const highestCm = seatHeights(kit).at(-1)?.heightCm ?? null;
  const wayWith = (aid: HoverAid) => {
    const lowestCm = lowestWith(aid, rule, one, ankleDeg);
    if (lowestCm === null) return [];
    const seatCm = one.raised(lowestCm);
    // A hall that nobody described lacks no seat: the level says which one it takes.
    return [{ aid, lowestCm, seatCm, has: has[aid], stands: highestCm === null || highestCm >= seatCm }];
  };
  const ankleDeg = ankleOf(one).deg;
  for (const aid of aids.filter((a) => has[a])) {
    const [way] = wayWith(aid);
    if (way?.stands) return way;
  }
  const ways = aids.flatMap(wayWith);
  const lacks = (way: (typeof ways)[number]): number => Number(!way.has) + Number(!way.stands);
  const [nearest, ...others] = [...ways].sort((a, b) => lacks(a) - lacks(b));
  if (!nearest) return { blocks: ankleBlocks(rule, one) };
  const seat = seatBlock(one, nearest.seatCm);
  if (nearest.has) return { blocks: [seat] };
  const would = [nearest, ...others.filter((way) => !way.has && way.stands)];
  const aid = aidBlock(
    one,
    would.map((way) => way.aid),
  );
  return { blocks: nearest.stands ? [aid] : [aid, { ...seat, fact: 'target:seat' }] };
}

/**
 * Whatever weight is taken, from none to the heaviest that the first may be. A way that comes after another is never given
 * a lower seat than that would: what helps more must not ask more.
 */
function lowestWith(aid: HoverAid, rule: HoverRule, one: HoverCase, ankleDeg: number): number | null {
  const upTo = aids.slice(0, aids.indexOf(aid) + 1);
  const each = upTo.map((a) => lowestAlone(a, rule, one, ankleDeg));
  return each.at(-1) == null ? null : Math.max(...each.map((cm) => cm ?? 0));
}

function lowestAlone(aid: HoverAid, rule: HoverRule, one: HoverCase, ankleDeg: number): number | null {
  // Hands that hold a weight hold no rail.
  if (aid === 'rail' && rule.hovers === 'chest') return null;
  const each = loadSharesOf(rule, one).map((loadShare) => lowestToHover(question(aid, rule, one, ankleDeg, loadShare)));
  return each.includes(null) ? null : Math.max(...each.map((cm) => cm ?? 0));
}

function loadSharesOf(rule: HoverRule, { facts, rules: { house } }: HoverCase): number[] {
  if (rule.hovers === 'forward') return [0];
  const { massKg } = facts.person;
  const { shareOfMass, mostKg } = house.load;
  return [0, massKg === null ? shareOfMass : Math.min(shareOfMass, mostKg / massKg)];
}

const heightOf = ({ facts, rules: { house } }: Pick<HoverCase, 'facts' | 'rules'>): number =>
  facts.person.heightCm ?? house.hover.untoldHeightCm;

const question = (aid: HoverAid, rule: HoverRule, one: HoverCase, ankleDeg: number, loadShare: number): SeatQuestion =>
  hoverQuestion(aid, rule, one.rules.house, { ...one, heightCm: heightOf(one), ankleDeg, loadShare });

/** What is asked of the load model for a rung, by the numbers of the house. */
export function hoverQuestion(
  aid: HoverAid,
  rule: HoverRule,
  { hover }: Pick<HouseRules, 'hover'>,
  { heightCm, ankleDeg, shownCm, capCm, loadShare }: HoverBody,
): SeatQuestion {
  const { underShownCm, mostEffortPct, wedgeCm, railPullPct } = hover;
  return {
    ...{ heightCm, ankleDeg, arms: rule.hovers, loadShare, shownCm, underShownCm, capCm, mostEffortPct },
    // Who holds a rail needs no room besides.
    roomLeastDeg: aid === 'rail' ? 0 : rule.roomLeastDeg,
    heelLiftCm: aid === 'wedge' ? wedgeCm : 0,
    pullPct: aid === 'rail' ? railPullPct : 0,
  };
}

/**
 * By knee to wall of the stiffer side, read down for a bad day. Where nobody tested it an ankle is assumed; an old result,
 * or one that a limiter keeps out, still counts where it is stiffer than that.
 */
export function ankleOf(one: Pick<HoverCase, 'rules' | 'facts' | 'readings'>): Ankle {
  const { untestedAnkleDeg } = one.rules.house.hover;
  const read = one.readings.get('kneeToWallCm');
  const heightCm = heightOf(one);
  const degOf = (cm: number): number => ankleFromWall(heightCm, cm);
  const assumed: Ankle = {
    deg: untestedAnkleDeg,
    reason: {
      fact: 'ankle',
      text: `ankle of ${untestedAnkleDeg} degrees assumed: a knee-to-wall test would settle it`,
    },
  };
  const once = read?.behind.once;
  if (!read || once === undefined) return assumed;
  const { reading, behind } = read;
  const deg = degOf(once);
  if (reading.state !== 'fresh')
    return deg >= untestedAnkleDeg
      ? assumed
      : {
          deg,
          reason: {
            fact: 'kneeToWallCm',
            text: `ankle of ${Math.round(deg)} degrees shown before: counts until it is tested again`,
          },
        };
  const room = once === behind.measured ? '' : ` (${once} cm with room for a bad day)`;
  const text = `knee to wall, stiffer ankle: ${String(behind.measured)} cm${room}, so ${Math.round(deg)} degrees`;
  return { deg, reason: { fact: 'kneeToWallCm', text } };
}

/**
 * Why this height, for whoever asks: effort against the seat shown, room, and what a lower seat of the kit would lack.
 * @param cm how high the seat stands over the feet
 */
export function hoverReasons(rule: HoverRule, one: HoverCase, { aid, lowestCm }: HoverSeat, cm: number): Reason[] {
  const source = one.rules.house.source.cite;
  const ankle = ankleOf(one);
  const asked = question(aid, rule, one, ankle.deg, Math.max(...loadSharesOf(rule, one)));
  const row = seatRow(asked, cm);
  const lower = seatHeights(one.facts.kit).findLast((s) => s.heightCm < Math.min(cm, lowestCm));
  const would = lower && lackWords(asked, seatRow(asked, lower.heightCm));
  const with_ = aid === 'none' ? '' : `, ${aidWords(one.rules.house.hover)[aid]}`;
  const text = `${cm} cm${with_}: ${effortWords(row, one.shownCm)}${asked.roomLeastDeg === 0 ? '' : `, room ${roomDegrees(asked, cm)}`}${would === undefined ? '' : `; ${would}`}`;
  const untold =
    one.facts.person.heightCm === null
      ? [{ fact: 'heightCm', text: `height not asked: reckoned as ${heightOf(one)} cm`, source }]
      : [];
  return [{ fact, text, source }, { ...ankle.reason, source }, ...untold];
}

function effortWords({ kneePct, hipPct }: SeatRow, shownCm: number): string {
  return kneePct === null || hipPct === null
    ? `the lowest that can be done, the seat of ${shownCm} cm itself cannot be hovered over`
    : `knee ${Math.round(kneePct)} %, hip ${Math.round(hipPct)} % of the seat shown`;
}

function roomDegrees(asked: SeatQuestion, seatCm: number): string {
  const deg = Math.floor(hoverRoomDeg({ ...asked, seatCm }));
  return deg === 1 ? '1 degree' : `${deg} degrees`;
}

/** What a seat too low for them lacks, where the model says it. */
function lackWords(asked: SeatQuestion, { cm, whyNot, kneePct, hipPct }: SeatRow): string | undefined {
  switch (whyNot) {
    case 'room':
      return `${cm} cm would leave ${roomDegrees(asked, cm)}`;
    case 'knee':
      return `${cm} cm would ask ${Math.round(kneePct ?? 0)} % of the knee`;
    case 'hip':
      return `${cm} cm would ask ${Math.round(hipPct ?? 0)} % of the hip`;
    case 'no-posture':
      return `over ${cm} cm this body finds no balance`;
    default:
      return undefined;
  }
}

export const aidWords = ({ wedgeCm }: HouseRules['hover']): Readonly<Record<Exclude<HoverAid, 'none'>, string>> => ({
  wedge: `a firm wedge of ${wedgeCm} cm under both heels`,
  rail: 'both hands on a fixed rail, pulling lightly',
});
const aidTags = { wedge: 'heel wedge', rail: 'fixed rail' } as const;

function seatBlock({ facts: { kit } }: HoverCase, seatCm: number): Block {
  const highest = seatHeights(kit).at(-1);
  const have = highest?.heightCm ?? null;
  const pad = have === null ? '' : `: a firm pad of ${seatCm - have} cm on ${highest?.from.join(' + ') ?? ''} would do`;
  return {
    ...{ fact, have, measured: have, need: seatCm, measuredNeeded: seatCm, tag: `seat of ${seatCm} cm` },
    text: `a seat of ${seatCm} cm to hover over, the highest here is ${String(have)} cm${pad}`,
  };
}

/** @param would each of which is enough, the first thought of first */
function aidBlock(one: HoverCase, would: readonly HoverAid[]): Block {
  const { hover } = one.rules.house;
  const [first = 'wedge', ...rest] = would.filter((aid) => aid !== 'none');
  const why = `ankles of ${Math.round(ankleOf(one).deg)} degrees: no seat up to ${one.capCm} cm can be hovered over`;
  const block = (aid: Exclude<HoverAid, 'none'>): Block => ({
    ...{ fact, have: 'none', measured: 'none', need: aid, measuredNeeded: aid, tag: aidTags[aid] },
    text: `${why}; ${aidWords(hover)[aid]} would do`,
  });
  if (rest.length === 0) return block(first);
  const words = [first, ...rest].map((aid) => aidWords(hover)[aid]).join(', or ');
  return { ...block(first), text: `${why}; ${words}, would do`, or: rest.map(block) };
}

/** Where nothing in a cupboard helps: how far the ankles would have to bend. */
function ankleBlocks(rule: HoverRule, one: HoverCase): Block[] {
  const measured = one.rules.measured.find((m) => m.id === 'kneeToWallCm');
  const now = ankleOf(one).deg;
  const degs = Array.from({ length: 2 * ampleAnkleDeg }, (_, i) => (i + 1) * ankleStepDeg).filter((deg) => deg > now);
  const enough = degs.find((deg) => lowestWith('none', rule, one, deg) !== null) ?? ampleAnkleDeg;
  const need = roundUpTo(wallFromAnkle(heightOf(one), enough), measured?.step ?? 1);
  const needed = measured ? measuredFor(measured, need) : need;
  const read = one.readings.get('kneeToWallCm')?.behind;
  const block: Block = {
    fact: 'kneeToWallCm',
    ...{ have: read?.once ?? null, measured: read?.measured ?? null },
    ...{ need, measuredNeeded: needed, tag: `knee to wall ${needed} cm` },
    text: `ankles of ${Math.round(now)} degrees: no seat up to ${one.capCm} cm can be hovered over; opens with knee to wall of ${needed} cm`,
  };
  const lowestCm = lowestWith('none', rule, one, enough);
  const seatCm = lowestCm === null ? null : one.raised(lowestCm);
  const highest = seatHeights(one.facts.kit).at(-1)?.heightCm;
  return seatCm === null || highest === undefined || highest >= seatCm
    ? [block]
    : [block, { ...seatBlock(one, seatCm), fact: 'target:seat' }];
}
