import { Button, Input } from 'antd';
import { useState } from 'react';
import { api, letInPass } from '../state/index.ts';
import { Notice } from '../frame/index.ts';

/** Shown instead of everything to a device that the shop's machine does not know yet. */
export function PairDevice() {
  const [code, setCode] = useState(letInPass ?? '');
  const [shownPass, setShownPass] = useState(letInPass !== null);
  const [name, setName] = useState(() => (matchMedia('(max-width: 720px)').matches ? 'Telephone' : 'Tablet'));
  const [failed, setFailed] = useState<string | null>(null);
  const pair = () =>
    api.pair(code, name).then(
      () => window.location.reload(),
      (error: Error) => {
        setFailed(error.message);
        // squares are good once: from now on by the figures
        if (shownPass) setCode('');
        setShownPass(false);
      },
    );
  return (
    <main className="pair on-paper">
      <h1>Vuelta does not know this device yet</h1>
      {!shownPass && (
        <p>
          On the machine Vuelta runs on, open the bench and press “Let another device in”, or look at the
          window it was started in: a code of six figures is shown there. Type it here, once.
        </p>
      )}
      <form
        onSubmit={(event) => {
          event.preventDefault();
          void pair();
        }}
      >
        {!shownPass && (
          <label>
            Code
            <Input
              size="large"
              inputMode="numeric"
              autoComplete="off"
              autoFocus
              maxLength={9}
              value={code}
              onChange={({ target }) => setCode(target.value)}
            />
          </label>
        )}
        <label>
          What it is called in this shop
          <Input
            size="large"
            autoComplete="off"
            maxLength={60}
            value={name}
            onChange={({ target }) => setName(target.value)}
          />
        </label>
        <Button type="primary" size="large" htmlType="submit" disabled={code.trim() === ''}>
          Let this device in
        </Button>
      </form>
      {failed && <Notice tone="wrong">{failed}</Notice>}
    </main>
  );
}
