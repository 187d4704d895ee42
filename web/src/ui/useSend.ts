import { uuid } from './uuid';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Problem } from '../api/client';

/** An id for one form, so that sending it twice does it once. */
export function useRequestId() {
  const [id, setId] = useState(() => uuid());
  return { id, renew: () => setId(uuid()) };
}

/**
 * Sends something; when it was taken, everything that is shown is asked for anew.
 *
 * @param then takes the answer, and what was sent for it: what is typed may be another by now
 */
export function useSend<Sent, Got>(
  send: (what: Sent) => Promise<Got>,
  then?: (got: Got, sent: Sent) => void,
) {
  const client = useQueryClient();
  const mutation = useMutation({
    mutationFn: send,
    onSuccess: async (got: Got, sent: Sent) => {
      then?.(got, sent);
      await client.invalidateQueries();
    },
  });
  const problem = mutation.error instanceof Problem ? mutation.error : undefined;
  return { ...mutation, problem };
}
