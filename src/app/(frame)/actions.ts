'use server';
import { args, form, id, opened, text } from '../../schemas/door';
import { helperDeed } from '../../schemas/helper';
import { seatGroup } from '../../use-cases/groups';
import { changeEmergencyNumber, changePlace } from '../../use-cases/places';
import { noteHelper, tellOfHelper } from '../../use-cases/helpers';
import { changeHouse } from '../../use-cases/rules';
import { action } from '../doors';

export const seat = action(args([id()]), seatGroup, [['/']]);

/** Units, name and number of the hall stand on every page. */
export const savePlace = action(args([form(), opened()]), changePlace, [['/', 'layout']]);

export const saveHouse = action(args([form(), opened()]), changeHouse, [['/', 'layout']]);

export const saveNumber = action(args([text(40)]), changeEmergencyNumber, [['/', 'layout']]);

export const addHelper = action(args([form()]), noteHelper, [['/hall']]);

export const tellHelper = action(args([helperDeed]), tellOfHelper, [['/hall']]);
