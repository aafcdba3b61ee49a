/** Names of what the query layer holds. */
export const keys = {
  jobs: (filter: object) => ['jobs', 'pages', filter] as const,
  /** Anew for another shop. */
  toBuy: (revision: number, tolerance: number) => ['jobs', 'to-buy', revision, tolerance] as const,
  job: (id: string) => ['job', id] as const,
  shop: ['shop'] as const,
  runsOf: (jobId: string) => ['runs-of', jobId] as const,
  /** Every list of the logbook. */
  logs: ['log', 'pages'] as const,
  logFor: (filter: object) => ['log', 'pages', filter] as const,
  logPage: (id: string) => ['log', 'run', id] as const,
  pictures: (owner: string) => ['pictures', owner] as const,
  devices: ['devices'] as const,
  ports: ['ports'] as const,
  classes: ['classes'] as const,
  classBoard: (key: string) => ['classes', key] as const,
  run: (id: string) => ['run', id] as const,
};
