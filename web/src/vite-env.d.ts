/// <reference types="vite/client" />
declare module "@fontsource-variable/source-sans-3";
