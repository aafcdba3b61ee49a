import { Button } from 'antd';
import { useState } from 'react';
import { Link } from 'react-router';
import { Notice, saveText } from '../frame/index.ts';
import { asideDrafts, forgetAside, keptDrafts } from '../edits/index.ts';

/**
 * What this browser alone keeps of cards: those that could not be stored, and those that cannot be read any
 * more.
 */
export function KeptCards() {
  // read once a visit, the cards first: one that cannot be read is put aside by that
  const [unstored] = useState(() => keptDrafts().filter(({ revision }) => revision === 0));
  return (
    <>
      {unstored.map(({ job }) => (
        <Unstored key={job.id} id={job.id} name={job.name} />
      ))}
      <AsideDrafts />
    </>
  );
}

/** A new card that something wrong on it keeps from being stored. */
function Unstored({ id, name }: { readonly id: string; readonly name: string }) {
  return (
    <Notice tone="query" word="Not stored yet:">
      <Link to={`/jobs/${id}`}>{name}</Link>. One of its figures cannot be used, so it is kept in this browser
      alone.
    </Notice>
  );
}

/** Cards typed in this browser that cannot be read any more: kept, and offered as files. */
function AsideDrafts() {
  const [aside, setAside] = useState(asideDrafts);
  return aside.map(({ key, name, text }) => (
    <Notice
      key={key}
      tone="query"
      word="Kept aside:"
      actions={
        <>
          <Button onClick={() => saveText(`${name}.vuelta.json`, text, 'application/json')}>
            Save it as a file
          </Button>
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
}
