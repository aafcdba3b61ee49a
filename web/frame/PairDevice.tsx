import { Button, Input } from 'antd';
import { useState } from 'react';
import { api } from '../state/index.ts';
import { Notice } from './Notice.tsx';

/** Shown instead of everything to a device that the shop's machine does not know yet. */
export function PairDevice() {
  const [code, setCode] = useState('');
  const [failed, setFailed] = useState<string | null>(null);
  const pair = () =>
    api.pair(code).then(
      () => window.location.reload(),
      (error: Error) => setFailed(error.message),
    );
  return (
    <main className="pair on-paper">
      <h1>Vuelta does not know this device yet</h1>
      <p>
        On the machine Vuelta runs on, open it and look at the bench, or at the window it was started in: a
        code of six figures is shown there. Type it here, once.
      </p>
      <form
        onSubmit={(event) => {
          event.preventDefault();
          void pair();
        }}
      >
        <Input
          size="large"
          aria-label="Pairing code"
          inputMode="numeric"
          autoComplete="off"
          autoFocus
          maxLength={9}
          value={code}
          onChange={({ target }) => setCode(target.value)}
        />
        <Button type="primary" size="large" htmlType="submit" disabled={code.trim() === ''}>
          Let this device in
        </Button>
      </form>
      {failed && <Notice tone="wrong">{failed}</Notice>}
    </main>
  );
}
