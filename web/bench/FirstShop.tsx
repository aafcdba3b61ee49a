import { Button, Segmented } from 'antd';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { READY_MILLS, STOCK_HEADS, STOCK_MILL, STOCK_ROTARY } from '../../core/shop/index.ts';
import type { UnitSystem } from '../../core/units/index.ts';
import { editShop } from '../edits/index.ts';
import { ChoiceField } from '../fields/index.ts';
import { usePreferences } from '../state/index.ts';

const HEADS = [...STOCK_HEADS, STOCK_ROTARY];
const ALL = 'all';
const PLAIN = STOCK_MILL.id;

/**
 * An empty workshop: three questions, so that the first card stands on what is there. They may be passed
 * over: the stock sets stand in until the shop is listed.
 */
export function FirstShop() {
  const navigate = useNavigate();
  const units = usePreferences((preferences) => preferences.units);
  const setUnits = usePreferences((preferences) => preferences.setUnits);
  const [headId, setHeadId] = useState<string>(ALL);
  const [millId, setMillId] = useState<string>(PLAIN);
  const keep = () => {
    const head = HEADS.find(({ id }) => id === headId);
    const mill = READY_MILLS.find(({ id }) => id === millId);
    editShop((now) => ({
      ...now,
      heads: head ? [head] : HEADS,
      mills: mill ? [mill] : now.mills,
    }));
    void navigate('/jobs/new');
  };
  return (
    <section className="first-shop" aria-label="Your shop, in three questions">
      <h2>Your shop, in three questions</h2>
      <div className="fields">
        <ChoiceField
          label="Which head divides?"
          value={headId}
          onChange={setHeadId}
          options={[
            ...HEADS.map(({ id, name, ratio }) => ({ value: id, label: `${name}, ${ratio} : 1` })),
            { value: ALL, label: 'Not sure: all of them' },
          ]}
          echo="Its plates and rings can be changed in the shop."
        />
        <ChoiceField
          label="Which mill?"
          value={millId}
          onChange={setMillId}
          options={[
            ...READY_MILLS.map(({ id, name }) => ({ value: id, label: name })),
            { value: PLAIN, label: 'Another, with a 5 mm table screw' },
          ]}
          echo="Figures of the usual order: trim them to yours in the shop."
        />
        <div className="field">
          <span className="either-label" id="first-units">
            Millimetres or inches?
          </span>
          <Segmented<UnitSystem>
            block
            aria-labelledby="first-units"
            value={units}
            onChange={setUnits}
            options={[
              { value: 'mm', label: 'millimetres' },
              { value: 'in', label: 'inches' },
            ]}
          />
        </div>
      </div>
      <Button type="primary" size="large" onClick={keep}>
        That is my shop: a first job
      </Button>
      <p className="soft">
        To look round a shop in use first, start Vuelta with <code>npm run demo</code>: it keeps its jobs
        apart from yours.
      </p>
    </section>
  );
}
