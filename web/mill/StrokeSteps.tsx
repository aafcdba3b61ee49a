const STAGES = ['clear', 'run back', 'index', 'go in'] as const;

/** The four stages between two spaces of a helical gear, the one in hand lit. */
export function StrokeSteps({ stage }: { readonly stage: number }) {
  return (
    <ol className="mill-stroke" aria-label="Between two spaces">
      {STAGES.map((words, i) => (
        <li key={words} className={i === stage ? 'is-now' : i < stage ? 'is-made' : ''} aria-current={i === stage ? 'step' : undefined}>
          {i < stage ? '✓ ' : ''}
          {words}
        </li>
      ))}
    </ol>
  );
} // prettier-ignore
