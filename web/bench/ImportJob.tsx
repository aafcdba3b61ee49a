import { Button } from 'antd';
import { lazy, Suspense, useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import { api, queryClient } from '../state/index.ts';

const NotImported = lazy(() =>
  import('./NotImported.tsx').then((module) => ({ default: module.NotImported })),
);

/** Brings in a job file; what is wrong with one is said, and nothing stored changes. */
export function ImportJob() {
  const picker = useRef<HTMLInputElement>(null);
  const [failed, setFailed] = useState<{ file: string; reasons: readonly string[] } | null>(null);
  const navigate = useNavigate();

  const take = async (file: File) => {
    try {
      const stored = await api.importJob(await file.text());
      await queryClient.invalidateQueries({ queryKey: ['jobs'] });
      await navigate(`/jobs/${stored.job.id}`);
    } catch (error) {
      const issues = 'issues' in (error as object) ? (error as { issues: { message: string }[] }).issues : [];
      const reasons = issues.length > 0 ? issues.map(({ message }) => message) : [(error as Error).message];
      setFailed({ file: file.name, reasons });
    }
  };
  return (
    <>
      <input
        ref={picker}
        type="file"
        accept=".json,application/json"
        className="visually-hidden"
        aria-label="Job file to import"
        tabIndex={-1}
        onChange={(event) => {
          const file = event.target.files?.[0];
          event.target.value = '';
          if (file) void take(file);
        }}
      />
      <Button size="large" onClick={() => picker.current?.click()}>
        Import a job file
      </Button>
      {failed && (
        <Suspense fallback={null}>
          <NotImported {...failed} onClose={() => setFailed(null)} />
        </Suspense>
      )}
    </>
  );
}
