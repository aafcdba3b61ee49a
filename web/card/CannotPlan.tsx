import { Button } from 'antd';
import { useNavigate } from 'react-router';
import { jobFileText, type Job } from '../../core/job/index.ts';
import { leaveDraft } from '../edits/index.ts';
import { Notice, saveText, Shell } from '../frame/index.ts';

/**
 * A card that cannot be worked out as it was typed: it goes back to what is stored, and what was typed is
 * kept aside or saved.
 */
export function CannotPlan({ job }: { readonly job: Job }) {
  const navigate = useNavigate();
  return (
    <Shell>
      <main className="page-say">
        <Notice
          tone="wrong"
          actions={
            <>
              <Button
                type="primary"
                onClick={() => {
                  leaveDraft(job.id);
                  void navigate('/');
                }}
              >
                Leave it, keep what is stored
              </Button>
              <Button
                onClick={() => saveText(`${job.name}.vuelta.json`, jobFileText(job), 'application/json')}
              >
                Save what was typed as a file
              </Button>
            </>
          }
        >
          This card cannot be worked out as it was typed. Nothing stored was changed; what was typed is kept
          in this browser.
        </Notice>
      </main>
    </Shell>
  );
}
