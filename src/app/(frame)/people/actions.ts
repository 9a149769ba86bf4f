'use server';
import { args, codes, form, id, ids, ladders, opened, peopleDeed, saveMore, text, truth } from '../../../schemas/door';
import { endGroup, erasePerson, saveGroup, setAside, withPeople } from '../../../use-cases/groups';
import { keepCard } from '../../../use-cases/cards';
import { keepPrinted } from '../../../use-cases/printedPages';
import { correctAttempt } from '../../../use-cases/correctAttempt';
import { classHeld, undoClass } from '../../../use-cases/classHeld';
import { confirmLevels } from '../../../use-cases/confirmLevels';
import { sayLastWord } from '../../../use-cases/lastWord';
import { enterSheet } from '../../../use-cases/enterSheet';
import { keepSwap } from '../../../use-cases/swaps';
import { noteToday } from '../../../use-cases/saveEntry';
import { addPerson, addWalkIn, changePerson } from '../../../use-cases/savePerson';
import { joinDay } from '../../../use-cases/testingDay';
import { theDeviceCoaching } from '../../deviceCoaching';
import { action } from '../../doors';

/** The id is made when the form was opened, so that a form sent twice adds one person. */
export const saveNewPerson = action(args([form(), id(), saveMore()]), (desk, sent, personId, { evenSo }) =>
  addPerson(desk, sent, { id: personId, evenSo }),
);

/** Who walks in on a testing day is on its board, or on the list for the next one. */
export const saveWalkIn = action(args([form(), id(), saveMore()]), async (desk, sent, personId, { evenSo }) => {
  const saved = await addWalkIn(desk, sent, { id: personId, evenSo });
  return saved.kind === 'saved' ? { ...saved, joins: await joinDay(desk, saved.id) } : saved;
});

/** What the form showed when it was opened comes along: what was changed elsewhere since is kept. */
export const savePerson = action(
  args([id(), form(), id(), saveMore()]),
  (desk, personId, sent, key, { opened: shown }) => changePerson(desk, personId, sent, { key, opened: shown }),
);

export const noteOfPerson = action(args([id(), form(), id()]), noteToday);

/** The codes that stood on the screen, and the ladders on which the old one is kept: nothing is confirmed that was not seen. */
export const saveConfirmedLevel = action(args([id(), codes(), ladders()]), confirmLevels);

export const saveLastWord = action(args([id(), form(), id()]), sayLastWord);

/** What was done today instead of a movement that hurts. */
export const saveSwap = action(args([id(), form(), id()]), async (desk, personId, sent, key) =>
  keepSwap(desk, personId, sent, key, await theDeviceCoaching()),
);

/** What was put right shows on every page of whoever it was and is. */
export const saveCorrection = action(args([id(), form()]), correctAttempt, [['/people', 'layout']]);

export const saveSheet = action(args([form()]), enterSheet);

export const doWithPeople = action(args([ids(), peopleDeed()]), withPeople);

export const saveTheGroup = action(args([id(), form(), opened()]), saveGroup);

export const endTheGroup = action(args([id()]), endGroup, [['/people/groups']]);

export const setPersonAside = action(args([id(), truth()]), setAside);

export const eraseForGood = action(args([id(), text(200)]), erasePerson);

export const keepPrintedPage = action(args([id(), form()]), keepPrinted);

/** Keeps a card that goes to the printer. */
export const keepHandedCard = action(args([id(), form()]), keepCard);

/** Everybody who was there has one class more. */
export const holdClass = action(
  args([id(), id(), ids()]),
  (desk, key, groupId, present) => classHeld(desk, key, groupId, present),
  [['/', 'layout']],
);

export const takeClassBack = action(args([id()]), undoClass, [['/', 'layout']]);
