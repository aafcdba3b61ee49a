import { Button, type ButtonProps } from 'antd';
import type { JobListing } from '../../core/wire/index.ts';

interface MoreButtonProps extends ButtonProps {
  readonly job: JobListing;
}

/** What opens a job's menu; the same before the menu has come and after. */
export function MoreButton({ job, ...rest }: MoreButtonProps) {
  return (
    <Button type="text" aria-label={`More for ${job.name}`} className="job-more" {...rest}>
      More
    </Button>
  );
}
