import { keepPreviousData, useQueries, useQuery } from '@tanstack/react-query';
import { api, type Schemas } from './client';
import { usePages } from './usePages';

export const keys = {
  settings: ['settings'] as const,
  today: ['today'] as const,
  bench: ['bench'] as const,
  materials: ['materials'] as const,
  designs: ['designs'] as const,
  batches: ['batches'] as const,
  finishedGoods: ['finished-goods'] as const,
  cutPieces: ['cut-pieces'] as const,
  fairs: ['fairs'] as const,
  season: ['season'] as const,
  channels: ['channels'] as const,
  prices: ['prices'] as const,
  quotes: ['quotes'] as const,
  orders: ['orders'] as const,
  resellers: ['resellers'] as const,
  posting: ['posting'] as const,
  buying: ['buying'] as const,
  suppliers: ['suppliers'] as const,
  onlineShop: ['online-shop'] as const,
};

export const useSettings = () =>
  useQuery({ queryKey: keys.settings, queryFn: () => api.get<Schemas['SettingsForm']>('/api/settings') });

/** Today as the maker's machine says, not the browser: the two may lie in other time zones. Empty until it is known. */
export const useToday = () => {
  const { data } = useQuery({
    queryKey: keys.today,
    queryFn: () => api.get<Schemas['TodayView']>('/api/settings/today'),
    staleTime: 60_000,
  });
  return data?.today ?? '';
};

export const useBench = () =>
  useQuery({ queryKey: keys.bench, queryFn: () => api.get<Schemas['BenchView']>('/api/bench') });

/** So many days from today on, with the work that is laid on them. */
export const useDays = (count: number) =>
  useQuery({
    queryKey: [...keys.bench, 'days', count],
    queryFn: () => api.get<Schemas['DaysView']>(`/api/days?count=${count}`),
    placeholderData: keepPreviousData,
  });

/** Every material, page after page. */
async function allMaterials() {
  const all = await api.get<Schemas['PageViewMaterialView']>('/api/materials?size=500');
  for (let page = 1; all.items.length < all.total; page++) {
    const more = await api.get<Schemas['PageViewMaterialView']>(`/api/materials?size=500&page=${page}`);
    if (more.items.length === 0) break;
    all.items.push(...more.items);
  }
  return all;
}

export const useMaterials = () =>
  useQuery({
    queryKey: keys.materials,
    queryFn: allMaterials,
  });

/** Pages of materials, one for each kind; the query is found in name, fibre and place. */
export const useMaterialLists = (
  lists: { kind: Schemas['MaterialView']['kind']; size: number }[],
  query: string,
  low: boolean,
  putAway: boolean,
) =>
  useQueries({
    queries: lists.map(({ kind, size }) => ({
      queryKey: [...keys.materials, 'list', kind, query, low, putAway, size],
      queryFn: () =>
        api.get<Schemas['PageViewMaterialView']>(
          `/api/materials?kind=${kind}&size=${size}&low=${low}&putAway=${putAway}&query=${encodeURIComponent(query)}`,
        ),
      placeholderData: keepPreviousData,
    })),
  });

export const useMaterial = (id: number) =>
  useQuery({
    queryKey: [...keys.materials, id],
    queryFn: () => api.get<Schemas['MaterialView']>(`/api/materials/${id}`),
  });

/** What is marked in a cloth's print. */
export const usePrint = (materialId: number) =>
  useQuery({
    queryKey: [...keys.materials, materialId, 'print'],
    queryFn: () => api.get<Schemas['PrintView']>(`/api/materials/${materialId}/print`),
  });

/** What lies on a material's shelf, at the end of a day or now. */
export const useShelf = (id: number, on?: string) =>
  useQuery({
    queryKey: [...keys.materials, id, 'shelf', on],
    queryFn: () => api.get<Schemas['ShelfView']>(`/api/materials/${id}/shelf${on ? `?on=${on}` : ''}`),
    placeholderData: keepPreviousData,
  });

/** All designs by their names, to choose from. */
export const useDesignNames = () =>
  useQuery({
    queryKey: [...keys.designs, 'names'],
    queryFn: () => api.get<Schemas['DesignName'][]>('/api/design-names'),
  });

/** What was on the machine in the steps of all designs, those used most first. */
export const useSetUpWords = () =>
  useQuery({
    queryKey: [...keys.designs, 'set-up-words'],
    queryFn: () => api.get<Schemas['SetUpWords']>('/api/set-up-words'),
  });

/** For each slot of a design, as it is edited, the materials that may fill it, and whether it has the slot as it is chosen. */
export const useSlotMaterials = (document: Schemas['DesignDocument'] | undefined) => {
  const { data } = useQuery({
    queryKey: [...keys.materials, 'for-slots', document?.slots, document?.trims, document?.openChoices],
    queryFn: () => api.post<Schemas['SlotMaterials'][]>('/api/designs/slot-materials', { document }),
    placeholderData: keepPreviousData,
    enabled: document !== undefined,
  });
  const of = (slot: string) => data?.find((one) => one.slot === slot);
  return {
    serving: (slot: string) => of(slot)?.materialIds ?? [],
    asked: (slot: string) => of(slot)?.asked ?? true,
  };
};

export const useDesign = (id: number | undefined) =>
  useQuery({
    queryKey: [...keys.designs, id],
    queryFn: () => api.get<Schemas['DesignView']>(`/api/designs/${id}`),
    enabled: id !== undefined,
  });

/** The documents of the designs of a batch's lines, as they are planned with, as far as they are read. */
export const useDesignDocuments = (lines: Pick<Schemas['LineForm'], 'designId' | 'revision'>[]) =>
  useQueries({
    queries: [...new Map(lines.map((line) => [line.designId, line.revision]))].map(([id, revision]) => ({
      queryKey: revision === undefined ? [...keys.designs, id] : [...keys.designs, id, 'revision', revision],
      queryFn: () =>
        api.get<Pick<Schemas['DesignView'], 'id' | 'document'>>(
          revision === undefined ? `/api/designs/${id}` : `/api/designs/${id}/revisions/${revision}`,
        ),
    })),
    combine: (answers) =>
      new Map(answers.flatMap(({ data }) => (data ? [[data.id, data.document] as const] : []))),
  });

/** Batches of a stage that have the words in them, the newest first. */
export const useBatches = (
  list: 'OPEN' | 'PLANNED' | 'CUT' | 'FINISHED' | 'ALL',
  query: string,
  only: { design?: string; forWhat?: string } = {},
) => {
  const asked = new URLSearchParams({ q: query, size: '50' });
  if (list !== 'ALL') asked.set('list', list);
  if (only.design) asked.set('design', only.design);
  if (only.forWhat) asked.set('for', only.forWhat);
  return usePages<Schemas['PageViewBatchRow'], Schemas['BatchRow']>(
    [...keys.batches, 'list', asked.toString()],
    `/api/batches?${asked.toString()}&page=`,
    (answer) => answer,
  );
};

export const useBatch = (id: number | undefined) =>
  useQuery({
    queryKey: [...keys.batches, id],
    queryFn: () => api.get<Schemas['BatchView']>(`/api/batches/${id}`),
    enabled: id !== undefined,
  });

/** A batch as it is at this moment: what was read before isn't shown, because somebody is about to act on it. */
export const useBatchAsItIs = (id: number) => {
  const query = useQuery({
    queryKey: [...keys.batches, id],
    queryFn: () => api.get<Schemas['BatchView']>(`/api/batches/${id}`),
    refetchOnMount: 'always',
  });
  return { data: query.isFetchedAfterMount ? query.data : undefined, error: query.error };
};

/** Finished bags and where they are; `all` also those of which none are left. */
export const useFinishedGoods = (query: string, all: boolean, place = '', quality = '') =>
  usePages<Schemas['GoodsView'], Schemas['FinishedGoodsLine']>(
    [...keys.finishedGoods, query, all, place, quality],
    `/api/finished-goods?all=${all}&query=${encodeURIComponent(query)}&place=${encodeURIComponent(place)}${
      quality && `&quality=${quality}`
    }&page=`,
    (answer) => answer.page,
  );

/** What lies on the shelf to be counted: in one place, or anywhere. */
export const useStockTake = (query: string, place: string | undefined) =>
  usePages<Schemas['StockTakeView'], Schemas['CountLine']>(
    [...keys.materials, 'stock-take', query, place ?? null],
    `/api/stock-take?query=${encodeURIComponent(query)}${
      place === undefined ? '' : `&place=${encodeURIComponent(place)}`
    }&page=`,
    (answer) => answer.page,
  );

/** Pieces that are cut and not sewn, by design. */
export const useCutPieces = (query: string) =>
  usePages<Schemas['UnsewnView'], Schemas['UnsewnLine']>(
    [...keys.cutPieces, query],
    `/api/cut-pieces?query=${encodeURIComponent(query)}&page=`,
    (answer) => answer.page,
  );

/** What came before, the latest first. */
export const useDeliveries = () =>
  usePages<Schemas['PageViewDeliveryView'], Schemas['DeliveryView']>(
    [...keys.suppliers, 'deliveries'],
    '/api/deliveries?page=',
    (answer) => answer,
  );

/** How a material came and went, the latest first. */
export const useMovements = (materialId: number) =>
  usePages<Schemas['PageViewMovementView'], Schemas['MovementView']>(
    [...keys.materials, materialId, 'movements'],
    `/api/materials/${materialId}/movements?size=50&page=`,
    (answer) => answer,
  );

/** The ways of selling, those that were put away too. */
export const useChannels = () =>
  useQuery({ queryKey: keys.channels, queryFn: () => api.get<Schemas['ChannelView'][]>('/api/channels') });

/** How often the online shop is asked for again while it is looked at. */
const SHOP_EVERY = 5_000;

/** The online shop, and the orders that wait. */
export const useOnlineShop = () =>
  useQuery({
    queryKey: keys.onlineShop,
    queryFn: () => api.get<Schemas['OnlineShopView']>('/api/online-shop'),
    refetchInterval: SHOP_EVERY,
  });

/** Online orders that don't wait any more, found by number and buyer; the latest first. */
export const useAnsweredOrders = (query: string) =>
  usePages<Schemas['PageViewShopOrderView'], Schemas['ShopOrderView']>(
    [...keys.onlineShop, 'orders', query],
    `/api/online-shop/orders?size=20&query=${encodeURIComponent(query)}&page=`,
    (answer) => answer,
    SHOP_EVERY,
  );

/** What the online shop paid out, the latest first. */
export const usePayouts = () =>
  usePages<Schemas['PageViewPayoutView'], Schemas['PayoutView']>(
    [...keys.onlineShop, 'payouts'],
    '/api/online-shop/payouts?size=6&page=',
    (answer) => answer,
    SHOP_EVERY,
  );

/** What to make for the coming fairs, as it was last asked. */
export const useSeasonPlan = () =>
  useQuery({
    queryKey: keys.season,
    queryFn: () => api.get<Schemas['SeasonPlanView']>('/api/season-plan'),
  });

/** Private orders that are closed, found by number and who ordered, beside those that are open. */
export const useOrders = (query: string) =>
  usePages<Schemas['CustomerOrders'], Schemas['CustomerOrderRow']>(
    [...keys.orders, 'list', query],
    `/api/orders?query=${encodeURIComponent(query)}&page=`,
    (answer) => answer.closed,
  );

export const useOrder = (id: number) =>
  useQuery({
    queryKey: [...keys.orders, id],
    queryFn: () => api.get<Schemas['CustomerOrderView']>(`/api/orders/${id}`),
  });

export const useResellers = () =>
  useQuery({ queryKey: keys.resellers, queryFn: () => api.get<Schemas['ResellerRow'][]>('/api/resellers') });

export const useReseller = (id: number) =>
  useQuery({
    queryKey: [...keys.resellers, id],
    queryFn: () => api.get<Schemas['ResellerView']>(`/api/resellers/${id}`),
  });

export const usePosting = () =>
  useQuery({ queryKey: keys.posting, queryFn: () => api.get<Schemas['PostingForm']>('/api/posting') });

export const useBagWeights = () =>
  useQuery({
    queryKey: [...keys.posting, 'weights'],
    queryFn: () => api.get<Schemas['BagWeight'][]>('/api/posting/weights'),
  });

export const useFairs = () =>
  useQuery({
    queryKey: keys.fairs,
    queryFn: () => api.get<Schemas['FairsView']>('/api/fairs?size=1'),
    select: (fairs) => fairs.coming,
  });

/** Past fairs, the newest first, beside those that come. */
export const usePastFairs = (query: string) =>
  usePages<Schemas['FairsView'], Schemas['FairRow']>(
    [...keys.fairs, 'past', query],
    `/api/fairs?query=${encodeURIComponent(query)}&page=`,
    (answer) => answer.past,
  );

export const useFair = (id: number) =>
  useQuery({
    queryKey: [...keys.fairs, id],
    queryFn: () => api.get<Schemas['FairView']>(`/api/fairs/${id}`),
  });

export const usePacking = (id: number) =>
  useQuery({
    queryKey: [...keys.fairs, id, 'packing'],
    queryFn: () => api.get<Schemas['PackingView']>(`/api/fairs/${id}/packing`),
  });

export const useSettlement = (id: number) =>
  useQuery({
    queryKey: [...keys.fairs, id, 'settlement'],
    queryFn: () => api.get<Schemas['SettlementView']>(`/api/fairs/${id}/settlement`),
  });

export const useBuying = () =>
  useQuery({ queryKey: keys.buying, queryFn: () => api.get<Schemas['BuyingView']>('/api/buying') });

export const useSuppliers = () =>
  useQuery({
    queryKey: keys.suppliers,
    queryFn: () => api.get<Schemas['SupplierView'][]>('/api/suppliers'),
  });

/** The packs of a material that shops sell. */
export const useOffers = (materialId: number) =>
  useQuery({
    queryKey: [...keys.materials, materialId, 'offers'],
    queryFn: () => api.get<Schemas['OfferView'][]>(`/api/materials/${materialId}/offers`),
  });
