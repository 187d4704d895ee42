import type { ReactNode } from 'react';
import { Problem } from '../api/client';

/** A sentence that can't be overlooked, read out by screen readers. */
export function Notice({ look = 'bad', children }: { look?: 'bad' | 'care' | 'ok'; children: ReactNode }) {
  const colours = {
    bad: 'border-madder bg-madder-tint text-madder',
    care: 'border-weld bg-weld-tint text-weld',
    ok: 'border-moss bg-moss-tint text-moss',
  };
  return (
    <div
      role={look === 'bad' ? 'alert' : 'status'}
      className={`rounded border-l-4 px-3 py-2 ${colours[look]}`}
    >
      {children}
    </div>
  );
}

/** What went wrong with a request, if anything did. */
export function ProblemNotice({ problem }: { problem: unknown }) {
  if (!problem) return null;
  return (
    <Notice>{problem instanceof Problem ? problem.message : 'Something went wrong in this page.'}</Notice>
  );
}
