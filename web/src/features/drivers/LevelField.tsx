import { editedNumber, parseNumber } from "../../shared/format/numbers";
import { TextField } from "../../shared/ui/Field";
import type { Look } from "./driversStore";

interface Props {
  look: Look & { set: (look: Partial<Look>) => void };
  /** The project's own level, where nothing is chosen. */
  confidence: number;
}

/** At which percentile it is told; emptied, it is the project's own level. */
export function LevelField({ look, confidence }: Props) {
  return (
    <TextField
      label="At percentile"
      name="level"
      hint="Emptied, it is the project's own level of confidence"
      value={editedNumber(look.level ?? confidence)}
      onHandIn={(text) => {
        const typed = text.replace(/[p%\s]/gi, "");
        const percent = parseNumber(typed);
        if (typed !== "" && (percent === undefined || percent <= 0 || percent > 100))
          return `A percentile lies above 0 and at most 100, not “${text}”.`;
        look.set({ level: percent });
        return undefined;
      }}
    />
  );
}
