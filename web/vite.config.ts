import react from "@vitejs/plugin-react";
import { defineConfig } from "vitest/config";

export default defineConfig({
  plugins: [react()],
  build: {
    rolldownOptions: {
      // The looks of components that are not used are not sent along.
      treeshake: { manualPureFunctions: ["defineConfig", "defineRecipe", "defineSlotRecipe"] },
      // What every stage needs comes as one piece, which is smaller than many.
      output: {
        advancedChunks: {
          groups: [
            {
              name: "stages",
              test: /shared\/(stage\/(Stage|commands)|grid\/(gridStore|gridLook|FindBar|ColumnMenu)|ui\/(Choice|notify|usePlanOfStage|useNarrow|ToolButton|Ring))|planGrid\/(useOddsCommand|filters)|icons\/panel-right/,
            },
          ],
        },
      },
    },
    chunkSizeWarningLimit: 700,
  },
  server: { proxy: { "/api": "http://127.0.0.1:8080" } },
  test: {
    projects: [
      {
        extends: true,
        // They keep nothing between them, so what they share is loaded once.
        test: { name: "words and numbers", include: ["src/**/*.test.ts"], isolate: false },
      },
      {
        extends: true,
        test: {
          name: "components",
          include: ["src/**/*.test.tsx"],
          environment: "jsdom",
          // The library is large: it is loaded once for all of them.
          isolate: false,
          fileParallelism: false,
          setupFiles: ["src/test/setup.ts"],
          // Machines that check much at a time are slow.
          testTimeout: 60_000,
          expect: { poll: { timeout: 20_000 } },
        },
      },
    ],
  },
});
