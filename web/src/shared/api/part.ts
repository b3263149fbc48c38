import { create } from "zustand";

/** Whether whoever sits here only reads the project that is open: nothing that is typed would be kept. */
export const useReads = create<{ reads: boolean }>()(() => ({ reads: false }));
