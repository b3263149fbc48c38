import { useEffect, useState } from "react";
import { Outlet } from "react-router";
import { Gate } from "./Gate";
import { useClash } from "../shared/api/clash";
import { lazily } from "../shared/ui/lazily";
import { NoteBar } from "../shared/ui/NoteBar";
import { useExplained } from "../shared/words/wordStore";

const ClashDialog = lazily(() => import("./ClashDialog"), "ClashDialog");
const Palette = lazily(() => import("./Palette"), "Palette");
const WordDialog = lazily(() => import("../shared/words/WordDialog"), "WordDialog");

/** What stands over every page: the search (Ctrl K), the word that is being explained, and the note at the foot. */
export function Root() {
  const [searching, setSearching] = useState(false);
  const word = useExplained((state) => state.word);
  const clash = useClash((state) => state.clashes.length > 0);
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (!(event.ctrlKey || event.metaKey) || event.altKey || event.key.toLowerCase() !== "k") return;
      event.preventDefault();
      setSearching(true);
    };
    window.addEventListener("keydown", onKey, { capture: true });
    return () => window.removeEventListener("keydown", onKey, { capture: true });
  }, []);
  return (
    <>
      <Gate>
        <Outlet />
      </Gate>
      <NoteBar />
      {searching && <Palette onClose={() => setSearching(false)} />}
      {word && <WordDialog />}
      {clash && <ClashDialog />}
    </>
  );
}
