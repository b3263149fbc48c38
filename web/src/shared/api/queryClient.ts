import { QueryCache, QueryClient } from "@tanstack/react-query";
import { ApiError } from "./client";
import { isLiveOdds, refreshLiveOdds } from "./live";

const GONE = 404;

export const queryClient = new QueryClient({
  queryCache: new QueryCache({
    // The simulation behind live odds gives way to newer ones; the odds are asked for again.
    onError: (error, { queryKey }) => {
      if (error instanceof ApiError && error.status === GONE && !isLiveOdds(queryKey))
        refreshLiveOdds(queryClient);
    },
  }),
  defaultOptions: {
    queries: {
      staleTime: 60_000,
      refetchOnWindowFocus: false,
      retry: (count, error) => !(error instanceof ApiError && error.status < 500) && count < 2,
    },
  },
});
