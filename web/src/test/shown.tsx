import { ChakraProvider } from "@chakra-ui/react";
import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { render } from "@testing-library/react";
import type { ReactNode } from "react";
import { MemoryRouter, Outlet, Route, Routes, useLocation } from "react-router";
import type { PlanView } from "../shared/api/client";
import { theme } from "../app/theme";

/** Shows a component as it stands in the application. @param at the address that it stands at */
export const shown = (what: ReactNode, at = "/") =>
  render(
    <ChakraProvider value={theme}>
      <QueryClientProvider client={new QueryClient({ defaultOptions: { queries: { retry: false } } })}>
        <MemoryRouter initialEntries={[at]}>{what}</MemoryRouter>
      </QueryClientProvider>
    </ChakraProvider>,
  );

const Elsewhere = () => <output data-testid="address">{useLocation().pathname}</output>;

/** Shows a stage of a plan's project; whatever leads away from it shows the address it leads to. */
export const shownStage = (plan: PlanView, stage: ReactNode) =>
  shown(
    <Routes>
      <Route element={<Outlet context={plan} />}>
        <Route path="/stage" element={stage} />
      </Route>
      <Route path="*" element={<Elsewhere />} />
    </Routes>,
    "/stage",
  );
