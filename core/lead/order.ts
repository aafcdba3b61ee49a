/** What is done before a helical cut, one after the other. Common practice. */
export interface LayOrder {
  readonly centre: string;
  readonly swing: string;
  readonly scribe: string;
}

/**
 * The order on the mill: centred first, while table or head stands straight, for once it is swung no measured
 * move brings the cutter to the middle; then swung; then tried with a line, before any metal is cut.
 * @param by what is laid along the helix
 */
export const layOrder = (by: 'table' | 'head'): LayOrder => ({
  centre:
    by === 'table'
      ? 'The table straight, the cutter over its swivel: bring the cutter to the middle of the work now'
      : 'The head upright: bring the cutter to the middle of the work now',
  swing: by === 'table' ? 'Now swing the table' : 'Now tilt the head',
  scribe: 'Scribe one line with the lead geared, the cutter clear',
});
