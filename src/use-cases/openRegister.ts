/** The door for programs that are no server: the demo hall is loaded through it. */
export { openRegister, RegisterUnusable, type Register } from '../database/connection';
export { isDemo } from '../database/place';
