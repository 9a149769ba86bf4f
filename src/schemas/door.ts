import { array, mixed, string, tuple, type AnyObject, type ISchema } from 'yup';
import type { PeopleDeed } from '../core/shapes/register';
import { patterns } from '../core/shapes/facts';
import { asText, exactly, oneOf, wholeIn, yesNo } from './building';

/** An id or a key, as it stands in an address or beside a form; whether there is such a one is looked up. */
export const id = () => string().typeError('must be text').min(1).max(64).required();

/** A form as it was typed: the use case parses it, so that each field is told what is wrong with it. */
export const form = () => mixed<object>((value): value is object => typeof value === 'object').required();

/** What a form showed when it was opened; parsed with it. */
export const opened = () =>
  mixed<object>((value): value is object => typeof value === 'object')
    .nullable()
    .defined();

export const text = (most: number) => string().typeError('must be text').max(most).defined();
export const truth = () => yesNo().required();
/** How somebody is saved: also where there is one like them, and against what the form showed. */
export const saveMore = () => exactly({ evenSo: truth(), opened: opened() }).required();
/** As many as are in the largest register. */
export const ids = () => array().of(id()).max(20_000).required();
export const pattern = () => oneOf(patterns).required();
export const rung = () => wholeIn(1, 9).required();
export const ladders = () => array().of(oneOf(patterns).required()).max(patterns.length).required();
export const codes = () => array().of(text(40).required()).max(20).required();

/** The arguments of an action, all of them and no more. */
export const args = <T extends [unknown, ...unknown[]]>(each: { [K in keyof T]: ISchema<T[K], AnyObject> }) =>
  tuple<T>(each).required();

const plainDeeds = ['sit-today', 'not-sit-today', 'archive', 'restore'];
const groupDeeds = ['join', 'leave'];

export const peopleDeed = () =>
  mixed<PeopleDeed>((deed): deed is PeopleDeed => {
    if (typeof deed !== 'object' || deed === null) return false;
    const { kind, groupId } = deed as Readonly<Record<string, unknown>>;
    return groupDeeds.includes(asText(kind))
      ? typeof groupId === 'string'
      : plainDeeds.includes(asText(kind)) && groupId === undefined;
  }).required();

export const pathId = exactly({ id: id() });
export const pathKey = exactly({ key: id() });
export const pathClientKey = exactly({ clientKey: id() });
export const pathKeyWriter = exactly({ key: id(), writer: id() });
