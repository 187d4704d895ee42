import { keepPreviousData, useInfiniteQuery, type QueryKey } from '@tanstack/react-query';
import { api } from './client';

interface Page<T> {
  items: T[];
  page: number;
  total: number;
}

/** A list of any length: its first page at once, each older one when it is asked for. */
export interface Pages<A, T> {
  /** The first answer, with what comes beside its items. */
  first: A | undefined;
  items: T[] | undefined;
  total: number;
  error: Error | null;
  isFetching: boolean;
  more: () => void;
}

/**
 * Reads a list page by page; `path` ends where the page's number is to follow, and `pageOf` finds the page in an answer
 * that holds other things too. What changes by itself is asked for again after so many milliseconds.
 */
export function usePages<A, T>(
  queryKey: QueryKey,
  path: string,
  pageOf: (answer: A) => Page<T>,
  askAgainEvery?: number,
): Pages<A, T> {
  const query = useInfiniteQuery({
    queryKey: [...queryKey, 'pages'],
    queryFn: ({ pageParam }) => api.get<A>(`${path}${pageParam}`),
    initialPageParam: 0,
    getNextPageParam: (last: A) => pageOf(last).page + 1,
    placeholderData: keepPreviousData,
    refetchInterval: askAgainEvery,
  });
  const pages = query.data?.pages;
  return {
    first: pages?.[0],
    items: pages?.flatMap((answer) => pageOf(answer).items),
    total: pages?.length ? pageOf(pages[pages.length - 1] as A).total : 0,
    error: query.error,
    isFetching: query.isFetching,
    more: () => void query.fetchNextPage(),
  };
}
