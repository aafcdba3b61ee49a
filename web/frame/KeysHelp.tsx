import { Checkbox, Modal } from 'antd';
import { usePreferences } from '../state/index.ts';

const KEYS: readonly { readonly where: string; readonly keys: readonly (readonly [string, string])[] }[] = [
  {
    where: 'Everywhere',
    keys: [
      ['?', 'these keys'],
      ['G', 'go to: any job, station, page or thing of the shop, or a count'],
      ['B', 'to the bench'],
      ['L', 'day or night shift'],
    ],
  },
  {
    where: 'On the bench',
    keys: [
      ['N', 'new job: what is on the bench?'],
      ['1 – 6', 'there: a drawing, a gear to copy, a piece, two shafts, just divide, a worm drive'],
      ['M', 'back to the mill: the job that was interrupted'],
    ],
  },
  {
    where: 'On the card',
    keys: [
      ['1 – 8', 'open a station'],
      ['S', 'settle it'],
      ['W', 'show or hide the working'],
      ['Ctrl Z', 'back a step; Ctrl Shift Z forth again; in the shop as well'],
      ['U', 'swap mm and inches'],
      ['M', 'at the mill'],
    ],
  },
  {
    where: 'At the mill',
    keys: [
      ['Space', 'this one is cut'],
      ['T', 'one whole turn is made'],
      ['Backspace', 'take back'],
      ['N', 'note'],
      ['P', 'pause'],
      ['W', 'lost count: where am I?'],
      ['X', 'something looks wrong'],
      ['O', 'how this screen counts'],
      ['C', 'back to the card'],
    ],
  },
  {
    where: 'On the practice bench',
    keys: [
      ['← →', 'crank, hole by hole'],
      ['P', 'pin out or in'],
      ['A', 'arms round to the pin'],
      ['L', 'lock or free the spindle'],
      ['R', 'cutter on or off'],
      ['I', 'measure'],
      ['X', 'something looks wrong'],
      ['Backspace', 'take back'],
    ],
  },
];

/** Every key, by where it does something. */
export function KeysHelp({ onClose }: { readonly onClose: () => void }) {
  const singleKeys = usePreferences((preferences) => preferences.singleKeys);
  const swapSingleKeys = usePreferences((preferences) => preferences.swapSingleKeys);
  return (
    <Modal open onCancel={onClose} footer={null} title="Keys" width={780} style={{ top: 40 }}>
      <p>
        <Checkbox checked={singleKeys} onChange={swapSingleKeys}>
          Single keys do things: letters, figures, the space bar
        </Checkbox>{' '}
        <span className="soft">
          {singleKeys ? 'Off while you type in a field.' : 'Off: everything is done by its button.'}
        </span>
      </p>
      <div className="keys-groups">
        {KEYS.map(({ where, keys }) => (
          <section key={where} className="keys-group">
            <h3>{where}</h3>
            <dl>
              {keys.map(([key, what]) => (
                <div key={key}>
                  <dt>
                    <kbd>{key}</kbd>
                  </dt>
                  <dd>{what}</dd>
                </div>
              ))}
            </dl>
          </section>
        ))}
      </div>
    </Modal>
  );
}
