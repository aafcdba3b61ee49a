import type { ReactNode } from 'react';

interface NoticeProps {
  readonly tone: 'wrong' | 'query' | 'good' | 'note';
  /** A word that goes with the colour: nobody has to tell it by its colour. */
  readonly word?: string;
  readonly children: ReactNode;
  readonly actions?: ReactNode;
}

/** Something that has to be said, with what can be done about it. */
export function Notice({ tone, word, children, actions }: NoticeProps) {
  return (
    <div className={`notice is-${tone}`} role={tone === 'wrong' ? 'alert' : 'status'}>
      {word && <strong>{word} </strong>}
      {children}
      {actions && <div className="notice-actions">{actions}</div>}
    </div>
  );
}
