const GREEK: Readonly<Record<string, string>> = {
  '\\alpha': 'α',
  '\\pi': 'π',
  '\\beta': 'β',
  '\\gamma': 'γ',
};

/** The trade's letter for a figure, from its TeX: `d_a` with its index set low. */
export function Symbol({ tex }: { readonly tex: string }) {
  const [letter = '', index] = tex.replace(/[{}]/g, '').split('_');
  return (
    <i className="symbol">
      {GREEK[letter] ?? letter}
      {index && <sub>{index}</sub>}
    </i>
  );
}
