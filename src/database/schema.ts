import type { Generated, GeneratedAlways } from 'kysely';

/** Tables as they are stored; repositories turn rows into the shapes of the core. */
export interface Schema {
  meta: { key: string; value: string };
  person: {
    id: string;
    name: string;
    birth_date: string;
    norm_table: string | null;
    added_at: string;
    archived_at: string | null;
    import_id: string | null;
    /** A partner’s own id. */
    external_id: string | null;
    /** Of the request that added them, to know it again. */
    sent_hash: string | null;
    /** Rises with everything written of the person, by triggers. */
    revision: Generated<number>;
  };
  intake: { id: string; person_id: string; noted_on: string; saved_at: string; facts_json: string };
  attempt: {
    client_key: string;
    person_id: string;
    test: string;
    protocol_version: number;
    sitting_date: string;
    side: string | null;
    /** In force: as sent, with the corrections since. */
    conditions_json: string;
    started_wall_ms: number;
    state: string;
    result_json: string;
    measure_version: number;
    received_at: string;
    /** For whom it was sent first; `null` where that was not kept, or they were erased. */
    sent_for: string | null;
    sent_conditions_json: string | null;
    /** Read out of the result, for questions over many attempts. */
    value: GeneratedAlways<number | null>;
    outcome: GeneratedAlways<string | null>;
    hands_used: GeneratedAlways<number | null>;
  };
  /** Every file an attempt ever lay in. */
  attempt_trace: { client_key: string; person_id: string };
  /** `who` marked it. */
  attempt_event: { client_key: string; seq: number; content_json: string; who: Generated<string> };
  attempt_event_conflict: { client_key: string; seq: number; content_json: string; received_at: string };
  decision: {
    id: string;
    person_id: string;
    day: string;
    at: string;
    by: string;
    kind: string;
    rules_version: string;
    norms_version: string;
    facts_json: string;
  };
  level: {
    decision_id: string;
    pattern: string;
    rung: number;
    support: string;
    code: string;
    level_json: string;
  };
  class_session: { key: string; group_id: string | null; day: string; plan_json: string; closed_at: string | null };
  class_event: { key: string; writer: string; seq: number; person_id: string | null; content_json: string };
  class_place: { key: string; person_id: string; at: string };
  class_template: { id: string; at: string; by: string; aside_at: string | null; content_json: string };
  helper: { id: string; name: string; may_count_json: string | null; may_spot_json: string | null };
  /** How many people were taken out of the register, when and by whom; nobody is named. */
  erasure: { id: Generated<number>; at: string; by: string; people: number };
  place: { id: number; content_json: string };
  entry: {
    id: string;
    person_id: string;
    on_day: string;
    saved_at: string;
    kind: string;
    content_json: string;
    /** Whose word it is. */
    by: Generated<string>;
  };
  person_group: { id: string; name: string; weekday: number; time: string };
  group_member: { group_id: string; person_id: string };
  sitting_person: { day: string; person_id: string };
  /** `content_json` names people by their id, and so does `day_note_person`. */
  day_note: { key: string; day: string; wall_ms: number; received_at: string; by: string; content_json: string };
  day_note_person: { key: string; person_id: string };
  own_exercise: { id: string; version: number; at: string; by: string; content_json: string };
  handed_card: { id: string; person_id: string; at: string; fingerprint: string; content_json: string };
  printed_page: {
    id: string;
    person_id: string;
    printed_at: string;
    norms_version: string;
    rules_version: string;
    fingerprint: string;
    content_json: string;
  };
  hall_norms: { id: string; saved_at: string; test: string; content_json: string };
  roster_import: {
    id: string;
    at: string;
    file_name: string;
    added: number;
    undone_at: string | null;
    sent_hash: string | null;
  };
}
