import type { Problem } from '../api/client';
import { Button } from './Button';
import { Notice, ProblemNotice } from './Notice';

/** The end of a form that changes something: what stands in the way of saving beyond single fields, and the button. */
export function FormEnd({ problem, isPending }: { problem?: Problem; isPending: boolean }) {
  return (
    <>
      {problem?.isClash && (
        <Notice look="care">
          {problem.message} Saving again keeps what you typed; closing keeps the other one.
        </Notice>
      )}
      {problem && !problem.isClash && problem.errors.length === 0 && <ProblemNotice problem={problem} />}
      <Button type="submit" disabled={isPending}>
        Save
      </Button>
    </>
  );
}
