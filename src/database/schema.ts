/** Tables as they are stored; repositories turn rows into the shapes of the core. */
export interface Schema {
  meta: { key: string; value: string };
  person: { id: string; name: string; birth_date: string; norm_table: string | null; added_at: string };
  intake: { id: string; person_id: string; noted_on: string; saved_at: string; facts_json: string };
  attempt: {
    client_key: string;
    person_id: string;
    test: string;
    protocol_version: number;
    sitting_date: string;
    side: string | null;
    conditions_json: string;
    started_wall_ms: number;
    state: string;
    result_json: string;
    measure_version: number;
    received_at: string;
  };
  attempt_event: { client_key: string; seq: number; content_json: string };
  attempt_event_conflict: { client_key: string; seq: number; content_json: string; received_at: string };
  confirmed_level: {
    id: string;
    person_id: string;
    pattern: string;
    rung: number;
    support: string;
    code: string;
    confirmed_on: string;
    confirmed_at: string;
    rules_version: string;
    norms_version: string;
    facts_json: string;
    level_json: string;
  };
  place: { id: number; content_json: string };
}
