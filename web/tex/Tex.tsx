import katex from 'katex';
import 'katex/dist/katex.min.css';
import { useMemo } from 'react';

/** A formula. Spoken as its TeX for those who listen. */
export function Tex({ tex }: { readonly tex: string }) {
  const html = useMemo(
    () => katex.renderToString(tex, { throwOnError: false, output: 'htmlAndMathml' }),
    [tex],
  );
  return <span className="tex" dangerouslySetInnerHTML={{ __html: html }} />;
}
