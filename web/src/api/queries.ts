import { useQuery } from '@tanstack/react-query';
import { api, type Schemas } from './client';

export const keys = {
  settings: ['settings'] as const,
  bench: ['bench'] as const,
  materials: ['materials'] as const,
  designs: ['designs'] as const,
  batches: ['batches'] as const,
  finishedGoods: ['finished-goods'] as const,
  fairs: ['fairs'] as const,
  buying: ['buying'] as const,
  suppliers: ['suppliers'] as const,
};

export const useSettings = () =>
  useQuery({ queryKey: keys.settings, queryFn: () => api.get<Schemas['SettingsForm']>('/api/settings') });

export const useBench = () =>
  useQuery({ queryKey: keys.bench, queryFn: () => api.get<Schemas['BenchView']>('/api/bench') });

export const useMaterials = () =>
  useQuery({
    queryKey: keys.materials,
    queryFn: () => api.get<Schemas['PageViewMaterialView']>('/api/materials?size=500'),
  });

/** All designs by their names, to choose from. */
export const useDesignNames = () =>
  useQuery({
    queryKey: [...keys.designs, 'names'],
    queryFn: () => api.get<Schemas['DesignName'][]>('/api/design-names'),
  });

export const useDesign = (id: number | undefined) =>
  useQuery({
    queryKey: [...keys.designs, id],
    queryFn: () => api.get<Schemas['DesignView']>(`/api/designs/${id}`),
    enabled: id !== undefined,
  });

export const useBatches = () =>
  useQuery({ queryKey: keys.batches, queryFn: () => api.get<Schemas['PageViewBatchLine']>('/api/batches') });

export const useBatch = (id: number | undefined) =>
  useQuery({
    queryKey: [...keys.batches, id],
    queryFn: () => api.get<Schemas['BatchView']>(`/api/batches/${id}`),
    enabled: id !== undefined,
  });

export const useFinishedGoods = () =>
  useQuery({
    queryKey: keys.finishedGoods,
    queryFn: () => api.get<Schemas['PageViewFinishedGoodsLine']>('/api/finished-goods'),
  });

export const useFairs = () =>
  useQuery({ queryKey: keys.fairs, queryFn: () => api.get<Schemas['FairView'][]>('/api/fairs') });

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
