import { useEffect, useRef } from "react";
import { create } from "zustand";

/** Something that can be done where one is: by its key, in a menu, or by its name. */
export interface Command {
  id: string;
  label: string;
  /** The key that does the same, as people say it. */
  keys?: string;
  /** What is done; a file to be taken out has an address instead. */
  run?: () => void;
  href?: string;
}

interface Commands {
  /** What each part of the screen offers now, by its name. */
  offered: Record<string, readonly Command[]>;
  offer: (from: string, commands: readonly Command[]) => void;
  withdraw: (from: string) => void;
}

/** What can be done now, as the parts of the screen that are shown offer it. */
export const useCommands = create<Commands>()((set) => ({
  offered: {},
  offer: (from, commands) => set(({ offered }) => ({ offered: { ...offered, [from]: commands } })),
  withdraw: (from) =>
    set(({ offered }) => {
      const rest = { ...offered };
      delete rest[from];
      return { offered: rest };
    }),
}));

const shape = (commands: readonly Command[]) =>
  commands.map(({ id, label, keys, href }) => [id, label, keys, href].join(" ")).join("\n");

/** Offers commands for as long as the component is shown; what they do is always the newest given. */
export function useOffer(from: string, commands: readonly Command[]) {
  const newest = useRef(commands);
  useEffect(() => {
    newest.current = commands;
  });
  const words = shape(commands);
  useEffect(() => {
    const { offer, withdraw } = useCommands.getState();
    offer(
      from,
      newest.current.map((command) => ({
        ...command,
        run: command.run && (() => newest.current.find((one) => one.id === command.id)?.run?.()),
      })),
    );
    return () => withdraw(from);
  }, [from, words]);
}
