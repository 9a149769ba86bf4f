export const reportReaders = ['person', 'clinician'] as const;
export type ReportReader = (typeof reportReaders)[number];

/** Which page of results is asked for. */
export interface ReportAsked {
  readonly reader: ReportReader;
  /** Percentiles on the person’s page, where they are wanted. */
  readonly percent: boolean;
}
