import { useQuery } from '@tanstack/react-query';
import { api, type Schemas } from '../api/client';

type Role = NonNullable<Schemas['DoorView']['role']>;

export const doorKey = ['door'];

/** The door to the workroom's network, as this device sees it. */
export const useDoor = () =>
  useQuery({ queryKey: doorKey, queryFn: () => api.get<Schemas['DoorView']>('/api/door') });

/** As what this device came in; undefined until it is known. */
export function useRole(): Role | undefined {
  return useDoor().data?.role;
}

/** The places that a guest has business in; the maker has in all. */
const PLACES: Record<Role, string[] | undefined> = {
  MAKER: undefined,
  HELPER: ['/bench', '/designs', '/materials', '/batches', '/help'],
  STALL: ['/stalls'],
};

/** Whether a place is one that a guest has business in. */
export const isPlaceOf = (role: Role | undefined, place: string) =>
  !role || (PLACES[role]?.includes(place) ?? true);

/** Where a guest begins. */
export const homeOf = (role: Role | undefined) => (role && PLACES[role]?.[0]) || '/bench';
