/* What the pages of the stand-ins share: they ask how it stands, and turn knobs. */
const OFTEN = 60;

export async function turn(knobs) {
  const answer = await fetch('/knobs', { method: 'POST', body: JSON.stringify(knobs) });
  return answer.json();
}

/** Calls `show` with how everything stands, again and again. */
export function watch(show) {
  const warn = document.querySelector('.warn');
  const look = async () => {
    try {
      show(await (await fetch('/seen')).json());
      warn.textContent = '';
    } catch {
      warn.textContent = 'The stand-ins have stopped.';
    }
    setTimeout(look, OFTEN);
  };
  void look();
}

/** Binds every knob of the page: `data-of="motor" data-knob="stalls"`. */
export function bindKnobs() {
  for (const input of document.querySelectorAll('[data-knob]')) {
    const { of, knob } = input.dataset;
    input.addEventListener('change', () => {
      const value =
        input.type === 'checkbox'
          ? input.checked
          : input.tagName === 'SELECT'
            ? input.value
            : Number(input.value);
      void turn(of === 'cable' ? { cable: { [knob]: value } } : { [of]: { [knob]: value } });
    });
  }
}

/** Marks round a dial. */
export function marks(group, many, { radius, long, numbered }) {
  const svg = 'http://www.w3.org/2000/svg';
  for (let i = 0; i < many; i += 1) {
    const isLong = i % long === 0;
    const line = document.createElementNS(svg, 'path');
    line.setAttribute('d', `M0 ${-radius}V${-radius + (isLong ? 14 : 7)}`);
    line.setAttribute('transform', `rotate(${(i * 360) / many})`);
    line.setAttribute('class', 'mark');
    group.append(line);
    if (!isLong) continue;
    const words = document.createElementNS(svg, 'text');
    words.setAttribute('transform', `rotate(${(i * 360) / many}) translate(0 ${-radius + 30})`);
    words.setAttribute('text-anchor', 'middle');
    words.textContent = String(numbered(i));
    group.append(words);
  }
}
