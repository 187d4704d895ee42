import type { Schemas } from '../../../api/client';
import { BagLook } from '../../../ui/BagLook';
import type { Standing } from './reckon';
import { QUALITY } from '../../../ui/quality';

/** A kind of bag as a ticket on the table: how it looks, what it is, its price and how many are left. */
export function Tile({
  tile,
  standing,
  inSet,
  onTouch,
}: {
  tile: Schemas['TileView'];
  standing: Standing;
  /** How many of it are in the set that is being put together. */
  inSet: number;
  onTouch: () => void;
}) {
  const { bag, price } = tile;
  const none = standing.left <= 0;
  const what = [bag.size, bag.cloth, QUALITY[bag.quality]].filter(Boolean).join(', ');
  return (
    <li>
      <button
        type="button"
        onClick={onTouch}
        className={`relative flex h-full w-full flex-col rounded-[10px] border-2 p-2 text-left active:bg-woad-tint ${
          inSet > 0 ? 'border-woad bg-woad-tint' : 'border-ink bg-white'
        } ${none ? 'border-dashed' : ''}`}
        aria-label={`${bag.design}, ${what}, ${price.amount}, ${standing.left} left`}
      >
        <span className="flex w-full items-start justify-between gap-2">
          <b className="text-[24px] leading-7 tabular-nums">{price.amount}</b>
          <span
            className={`rounded-full border-2 px-2 text-[17px] font-bold tabular-nums ${
              none ? 'border-madder text-madder' : 'border-ink'
            }`}
          >
            {none ? 'none' : standing.left}
          </span>
        </span>
        <span className="my-1 flex h-[74px] items-center justify-center self-stretch">
          {bag.picture || bag.photo ? (
            <BagLook picture={bag.picture} photo={bag.photo} across={120} up={74} />
          ) : (
            <span
              className="h-[56px] w-[76px] rounded border-2 border-dashed border-line-strong"
              aria-hidden
            />
          )}
        </span>
        <b className="text-[16px] leading-5">{bag.design}</b>
        <span className="text-[14.5px] leading-5">{what}</span>
        {(standing.promised > 0 || inSet > 0) && (
          <span className="mt-1 text-[14px] font-bold">
            {inSet > 0 ? `${inSet} in this set` : `${standing.promised} put aside`}
          </span>
        )}
      </button>
    </li>
  );
}
