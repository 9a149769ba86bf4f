/** For the branch that no case reaches; the compiler says where one was forgotten. */
export function assertNever(value: never): never {
  throw new RangeError(`assertNever: ${JSON.stringify(value)} is no case that was thought of`);
}
