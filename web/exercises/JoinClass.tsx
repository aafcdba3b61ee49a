import { Button, Input, Modal, type InputRef } from 'antd';
import { useId, useRef, useState } from 'react';
import { Notice } from '../frame/index.ts';
import { api, ProblemError } from '../state/index.ts';
import { useLearning } from './kept.ts';

/** The code that stands on the teacher’s page, and a name: nothing else is asked. */
export function JoinClass({ code: given, onClose }: { readonly code: string; readonly onClose: () => void }) {
  const join = useLearning((learning) => learning.join);
  const [code, setCode] = useState(given);
  const [name, setName] = useState('');
  const [figures, setFigures] = useState('');
  const [taken, setTaken] = useState(false);
  const [why, setWhy] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const id = useId();
  const first = useRef<InputRef>(null);
  const go = async () => {
    setBusy(true);
    try {
      join(await api.joinClass(code, name, figures));
      onClose();
    } catch (error) {
      if (error instanceof ProblemError && error.status === 409) setTaken(true);
      setWhy((error as Error).message);
      setBusy(false);
    }
  };
  const field = (label: string, key: string, value: string, change: (typed: string) => void) => (
    <div className="exercise-field">
      <label htmlFor={`${id}${key}`}>{label}</label>
      <Input
        id={`${id}${key}`}
        value={value}
        size="large"
        maxLength={key === 'name' ? 40 : 12}
        autoComplete="off"
        ref={key === (given ? 'name' : 'code') ? first : null}
        onChange={(event) => change(event.target.value)}
      />
    </div>
  );
  return (
    <Modal
      open
      title="Join a class"
      footer={null}
      onCancel={onClose}
      // not before the dialog stands: it takes the focus as it opens
      afterOpenChange={(open) => open && first.current?.focus()}
    >
      <form
        className="join-class"
        onSubmit={(event) => {
          event.preventDefault();
          void go();
        }}
      >
        {field('Code of the class', 'code', code, setCode)}
        {field('Your name, or one you choose', 'name', name, setName)}
        {taken && field('Your four figures', 'figures', figures, setFigures)}
        {why && <Notice tone="wrong">{why}</Notice>}
        <p className="soft">The teacher sees the name and what is tried. Leaving the class deletes both.</p>
        <Button type="primary" htmlType="submit" size="large" disabled={busy || !code.trim() || !name.trim()}>
          Join
        </Button>
      </form>
    </Modal>
  );
}
