import { create } from "zustand";

interface SheetState {
  open: boolean;
  toggle: () => void;
  close: () => void;
}

/** Whether the sheet of the selected row stands beside the grid, whatever the stage. */
export const useSheetStore = create<SheetState>()((set) => ({
  open: false,
  toggle: () => set((state) => ({ open: !state.open })),
  close: () => set({ open: false }),
}));
