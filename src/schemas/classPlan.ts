import { mixed, string, type InferType } from 'yup';
import { day, exactly, listOf, oneOf, wholeIn, words } from './building';
import { turns } from '../core/shapes/classPlan';
import { patterns } from '../core/shapes/facts';
import { isPlaceId, type PlaceId } from '../core/shapes/hallPlace';
import { id } from './door';

const blockList = (blocks: readonly string[]) =>
  listOf(
    exactly({
      id: string()
        .matches(/^[a-z0-9-]{1,40}$/, 'must be small letters, digits and -')
        .required('is needed'),
      of: oneOf(blocks).required('is needed'),
      more: wholeIn(-9, 9).required('is needed'),
    }).required(),
    40,
  )
    .min(1, 'A class has at least one block.')
    .required('is needed');

/** A plan as it is sent: blocks by name, people by id. @param classes ids of all there are @param blocks names of theirs */
export const planBody = (classes: readonly string[], blocks: readonly string[]) =>
  exactly({
    day: day().required('is needed'),
    groupId: string().max(64).nullable().defined(),
    template: oneOf(classes).required('Choose a class.'),
    minutes: wholeIn(10, 120, 'minutes').required('is needed'),
    leader: string().typeError('must be text').max(80, 'Keep it under 80 letters.').defined(),
    helpers: listOf(id(), 20).required('is needed'),
    people: listOf(id(), 60).min(1, 'Somebody has to come: choose a group, or add people.').required('is needed'),
    blocks: blockList(blocks),
    turned: listOf(
      exactly({
        personId: id(),
        pattern: oneOf(patterns).required('is needed'),
        way: oneOf(turns).required('is needed'),
      }).required(),
      400,
    ).optional(),
  });

/** Where people are put by hand in a class; `null` lets them go. */
export const placeMoves = exactly({
  moves: listOf(
    exactly({
      personId: id(),
      at: mixed<PlaceId>((at): at is PlaceId => typeof at === 'string' && isPlaceId(at))
        .typeError('must be a place, as rail-2')
        .nullable()
        .defined(),
    }).required(),
    120,
  ).required('is needed'),
});

/** A plan to be kept as a class of the hall’s own. */
export const ownTemplateBody = (classes: readonly string[], blocks: readonly string[]) =>
  exactly({
    title: words(3, 'Give it a name of at least three letters.').max(60, 'Keep the name under 60 letters.').required(),
    minutes: wholeIn(10, 120, 'minutes').required('is needed'),
    from: oneOf(classes).required('Choose a class.'),
    blocks: blockList(blocks),
  });

export type PlanBody = InferType<ReturnType<typeof planBody>>;
