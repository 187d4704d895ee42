import { Button, ButtonLink } from '../ui/Button';
import { useTitle } from '../ui/useTitle';

/** What is shown when a screen breaks: that nothing is lost, and what to do. */
export function BrokenPage() {
  useTitle('Something broke');
  return (
    <section className="sheet m-6 max-w-[640px] p-5" role="alert">
      <h1>This screen broke</h1>
      <p className="mt-2">
        What was saved is safe, and what you were typing is kept in this browser. Load the screen again; if it
        breaks once more, go on from the bench, and keep the folder’s log for whoever mends it.
      </p>
      <div className="mt-4 flex gap-2.5">
        <Button onClick={() => window.location.reload()}>Load it again</Button>
        <ButtonLink look="quiet" to="/bench">
          To the bench
        </ButtonLink>
      </div>
    </section>
  );
}
