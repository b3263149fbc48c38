import { ChakraProvider } from "@chakra-ui/react";
import { QueryClient, QueryClientProvider } from "@tanstack/react-query";
import { render } from "@testing-library/react";
import type { ReactNode } from "react";
import { MemoryRouter } from "react-router";
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
