import { useState, type ReactNode } from 'react';

interface FoldProps {
  readonly summary: ReactNode;
  /**
   * Does it lie open to begin with? What happens later opens it, and never closes it under a person's hands.
   */
  readonly open?: boolean;
  readonly className: string;
  readonly children: ReactNode;
}

/** Something more, folded away until it is wanted. */
export function Fold({ summary, open = false, className, children }: FoldProps) {
  const [wanted, setWanted] = useState<boolean | null>(null);
  const [wasOpen, setWasOpen] = useState(open);
  if (open && !wasOpen) setWasOpen(true);
  return (
    <details
      className={className}
      open={wanted ?? wasOpen}
      onToggle={({ currentTarget }) => {
        if (currentTarget.open !== (wanted ?? wasOpen)) setWanted(currentTarget.open);
      }}
    >
      <summary>{summary}</summary>
      {children}
    </details>
  );
}
