/**
 * Every table that names a person, for the triggers that raise their revision, for erasing and for undoing an import;
 * a test walks the file and finds no other.
 */
export const personTables = [
  'intake',
  'entry',
  'attempt',
  'attempt_trace',
  'decision',
  'group_member',
  'sitting_person',
  'printed_page',
  'handed_card',
  'class_event',
  'class_place',
  'day_note_person',
] as const;

/** Rows that belong to a row of one of those, and go with it. */
export const belongingRows = [
  { table: 'attempt_event_conflict', by: 'client_key', of: 'attempt', key: 'client_key' },
  { table: 'attempt_event', by: 'client_key', of: 'attempt', key: 'client_key' },
  { table: 'attempt_trace', by: 'client_key', of: 'attempt', key: 'client_key' },
  { table: 'level', by: 'decision_id', of: 'decision', key: 'id' },
  { table: 'day_note', by: 'key', of: 'day_note_person', key: 'key' },
] as const;

/** Columns that name a person in a row that is somebody else’s. */
export const foreignMentions = [{ table: 'attempt', column: 'sent_for' }] as const;

/** The members of stored JSON that name a person. */
export const namingMembers = [
  ['attempt_event', 'content_json', '$.toPersonId'],
  ['attempt_event_conflict', 'content_json', '$.toPersonId'],
  ['attempt', 'result_json', '$.movedTo'],
] as const;

/** What an import writes of a person besides themselves; anything else was written since. */
export const writtenByImport: ReadonlySet<string> = new Set(['intake', 'group_member']);
/** What may have been written since and goes with them all the same: they were only called. */
export const goesWithImport: ReadonlySet<string> = new Set(['sitting_person']);
