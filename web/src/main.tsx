import "@fontsource-variable/source-sans-3";
import { ChakraProvider } from "@chakra-ui/react";
import { QueryClientProvider } from "@tanstack/react-query";
import { StrictMode } from "react";
import { createRoot } from "react-dom/client";
import { App } from "./app/App";
import { startColorMode } from "./app/colorMode";
import { theme } from "./app/theme";
import { queryClient } from "./shared/api/queryClient";

startColorMode();

createRoot(document.getElementById("root") as HTMLElement).render(
  <StrictMode>
    <ChakraProvider value={theme}>
      <QueryClientProvider client={queryClient}>
        <App />
      </QueryClientProvider>
    </ChakraProvider>
  </StrictMode>,
);
