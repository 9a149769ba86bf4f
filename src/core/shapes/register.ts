export const registerFilters = ['all', 'due', 'held', 'not-tested', 'to-complete', 'archived'] as const;
export type RegisterFilter = (typeof registerFilters)[number];

export const registerSorts = ['name', 'age', 'tested', 'due', 'level', 'state'] as const;
export type RegisterSort = (typeof registerSorts)[number];

/** What may be done with several people at once; each deed has its opposite. */
export type PeopleDeed =
  | { readonly kind: 'sit-today' | 'not-sit-today' | 'archive' | 'restore' }
  | { readonly kind: 'join' | 'leave'; readonly groupId: string };
