/** The door for programs that are no server: the demo hall is loaded through it. */
export { openRegister, type Register } from '../database/connection';
export { RegisterUnusable } from '../database/faults';
export { holderOf } from '../database/lock';
export { isDemo } from '../database/place';
