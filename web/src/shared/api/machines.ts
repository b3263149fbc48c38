import { useQuery } from "@tanstack/react-query";
import { answer, http } from "./client";

const EVERY_MS = 1000;

/** The machines that work for this server, as they are now. */
export const useMachines = () =>
  useQuery({
    queryKey: ["machines"],
    queryFn: () => answer(http.GET("/api/machines")),
    refetchInterval: EVERY_MS,
  });
