import { Button } from './Button';

/** Under a list that goes on: how much of it is shown, and the next part. Nothing where all of it is. */
export function More({
  list,
}: {
  list: { items: unknown[] | undefined; total: number; isFetching: boolean; more: () => void };
}) {
  const shown = list.items?.length ?? 0;
  if (shown >= list.total) return null;
  return (
    <div className="mt-2 flex items-center gap-3 px-1">
      <Button look="quiet" disabled={list.isFetching} onClick={list.more}>
        Show more
      </Button>
      <span className="text-soft">
        {shown} of {list.total}
      </span>
    </div>
  );
}
