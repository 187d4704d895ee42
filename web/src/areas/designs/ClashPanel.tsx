import { Button } from '../../ui/Button';
import { Panel } from '../../ui/Panel';

/** Somebody saved the same thing meanwhile: the maker chooses, and nothing is lost before. */
export function ClashPanel({
  sentence,
  onKeepMine,
  onTakeTheirs,
  onLater,
}: {
  sentence: string;
  onKeepMine: () => void;
  onTakeTheirs: () => void;
  onLater: () => void;
}) {
  return (
    <Panel title="Changed in two places" open onOpenChange={(open) => !open && onLater()}>
      <p>{sentence}</p>
      <p className="mt-2 text-soft">What you typed is still here. Which one shall be kept?</p>
      <div className="mt-4 flex flex-wrap gap-2.5">
        <Button onClick={onKeepMine}>Keep mine</Button>
        <Button look="quiet" onClick={onTakeTheirs}>
          Take the other one
        </Button>
        <Button look="quiet" onClick={onLater}>
          Decide later
        </Button>
      </div>
    </Panel>
  );
}
