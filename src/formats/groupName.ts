const days = ['monday', 'tuesday', 'wednesday', 'thursday', 'friday', 'saturday', 'sunday'];

/** The day and time that a group’s name says: `Tuesday 10:00`, `Fri 9.30`. What it does not say stays open. */
export function dayAndTimeIn(name: string): { readonly weekday: number; readonly time: string } {
  const words = name.toLowerCase().match(/\p{L}+/gu) ?? [];
  const day = days.findIndex((d) => words.some((w) => w.length >= 3 && d.startsWith(w.replace(/s$/, ''))));
  const [, hour = '', minute = ''] = /(?<!\d)([01]?\d|2[0-3])[:.]([0-5]\d)(?!\d)/.exec(name) ?? [];
  return { weekday: day + 1, time: hour === '' ? '' : `${hour.padStart(2, '0')}:${minute}` };
}
