import { MutationCache, QueryCache, QueryClient } from "@tanstack/react-query";
import { ApiError } from "./client";
import { isLiveOdds, refreshLiveOdds } from "./live";
import { ME_KEY, signedOut } from "./people";

const GONE = 404;
const NOT_SIGNED_IN = 401;

/** Where the server no longer knows who asks, the page asks for that over what is open; nothing of it is lost. */
function whoAsks(error: unknown) {
  if (error instanceof ApiError && error.status === NOT_SIGNED_IN)
    queryClient.setQueryData(ME_KEY, signedOut);
}

export const queryClient = new QueryClient({
  queryCache: new QueryCache({
    // The simulation behind live odds gives way to newer ones; the odds are asked for again.
    onError: (error, { queryKey }) => {
      whoAsks(error);
      if (error instanceof ApiError && error.status === GONE && !isLiveOdds(queryKey))
        refreshLiveOdds(queryClient);
    },
  }),
  mutationCache: new MutationCache({ onError: whoAsks }),
  defaultOptions: {
    queries: {
      staleTime: 60_000,
      refetchOnWindowFocus: false,
      retry: (count, error) => !(error instanceof ApiError && error.status < 500) && count < 2,
    },
  },
});
