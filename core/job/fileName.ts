/**
 * A name for a file about a job: letters, figures and strokes, no accents. @param words what it is of
 * @param otherwise where nothing of them is left
 */
export const fileNameOf = (words: string, otherwise = 'job'): string =>
  words
    .normalize('NFKD')
    .replace(/[^\w]+/g, '-')
    .replace(/^-|-$/g, '')
    .toLowerCase() || otherwise;
