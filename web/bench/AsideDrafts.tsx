import { Button } from 'antd';
import { useState } from 'react';
import { Notice, saveText } from '../frame/index.ts';
import { asideDrafts, forgetAside } from '../state/index.ts';

/** Cards typed in this browser that cannot be read any more: kept, and offered as files. */
export function AsideDrafts() {
  const [aside, setAside] = useState(asideDrafts);
  return aside.map(({ key, name, text }) => (
    <Notice
      key={key}
      tone="query"
      word="Kept aside:"
      actions={
        <>
          <Button onClick={() => saveText(`${name}.vuelta.json`, text, 'application/json')}>Save it as a file</Button>
          <Button
            onClick={() => {
              forgetAside(key);
              setAside(asideDrafts());
            }}
          >
            Forget it
          </Button>
        </>
      }
    >
      What was typed on “{name}” and not stored cannot be used as it is. It is kept in this browser.
    </Notice>
  ));
} // prettier-ignore
