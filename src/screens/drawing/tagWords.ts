/** Where a tag may end when it has no room: what follows tells more, and stands below the bars in full. */
const ends = [
  / not tested$/,
  /, (now|now [^,]*)$/,
  /, .*$/,
  / under .*$/,
  / in the last .*$/,
  / of .*$/,
  / to .*$/,
  / with .*$/,
];

/**
 * A tag of a rung in few words: as much as fits, never half a phrase.
 * @param more how many others keep the rung closed beside it
 */
export function tagWords(tag: string, more: number, fits: (words: string) => boolean): string {
  const lesser = ends.reduce<string[]>((all, end) => {
    const last = all.at(-1) ?? tag;
    const less = last.replace(end, end.source === ends[0]?.source ? '?' : '');
    return less === last ? all : [...all, less];
  }, []);
  const counted = more > 0 ? ` +${more}` : '';
  const tries = [
    ...(more > 0 ? [`${tag} · and ${more} more`] : []),
    ...[tag, ...lesser].map((words) => `${words}${counted}`),
  ];
  return tries.find(fits) ?? (more > 0 ? `${more + 1} things, see below` : 'see below');
}
