import { Modal } from 'antd';
import type { ReactNode } from 'react';
import { Notice } from './Notice.tsx';

/** What is asked before something goes that cannot be had back. */
interface Sure {
  readonly title: string;
  readonly content: string;
  /** Words of the button that does it. */
  readonly deed: string;
  /** Words of the way back. */
  readonly keep?: string;
  readonly act: () => Promise<void>;
}

/**
 * Asks once more before something that cannot be undone. What did not work is told where it was asked, and
 * can be tried again.
 * @returns what asks, and where the question is drawn
 */
export function useSure(): readonly [ask: (sure: Sure) => void, question: ReactNode] {
  const [modal, question] = Modal.useModal();
  const ask = ({ title, content, deed, keep = 'Keep', act }: Sure) => {
    const asked = modal.confirm({
      title,
      content,
      okText: deed,
      cancelText: keep,
      onOk: async () => {
        try {
          await act();
        } catch (error) {
          const why = error instanceof Error ? error.message : String(error);
          asked.update({
            content: (
              <>
                <p>{content}</p>
                <Notice tone="wrong">{why}</Notice>
              </>
            ),
          });
          throw error;
        }
      },
    });
    // with somebody waiting for the answer the dialog leaves what went wrong to the notice
    void asked.then(
      () => null,
      () => null,
    );
  };
  return [ask, question];
}
