import { Box } from "@chakra-ui/react";
import type { RiskView, SchemeView } from "../../shared/api/client";
import { SheetPart } from "../../shared/sheet/SheetPart";
import { ChoiceField } from "../../shared/ui/Field";
import type { ChangeRisk } from "./RiskSheet";

interface Props {
  risk: RiskView;
  scheme?: SchemeView;
  change: ChangeRisk;
}

/** The place of a risk in the scheme, as it stands and after its response. */
export function ScorePart({ risk, scheme, change }: Props) {
  if (!scheme) return null;
  const scales = [
    { kind: "chance", name: "Chance", levels: scheme.chance },
    ...scheme.effects.map(({ kind, name, levels }) => ({ kind, name, levels })),
  ];
  const part = (field: "score" | "scoreAfter", when: string) => {
    const score = risk[field];
    const level = (kind: string) => (kind === "chance" ? score?.chance : score?.effects[kind]) ?? 0;
    const put = (kind: string, value: number) => {
      const next: Record<string, number> = { ...score?.effects, chance: score?.chance ?? 0, [kind]: value };
      const kept = Object.fromEntries(Object.entries(next).filter(([, one]) => one > 0));
      return change({ [field]: Object.keys(kept).length === 0 ? null : kept });
    };
    return (
      <Box flex="1" minW="0">
        {scales.map(({ kind, name, levels }) => (
          <ChoiceField
            key={kind}
            label={`${name}${when}`}
            value={String(level(kind))}
            choices={[
              { value: "0", label: "not scored" },
              ...levels.map((one, i) => ({ value: String(i + 1), label: `${i + 1} ${one.name}` })),
            ]}
            onHandIn={(value) => put(kind, Number(value))}
          />
        ))}
        {score && (
          <Box color={score.beyond ? "risk" : "softInk"} mb="2">
            {score.product}
            {score.beyond ? ", beyond what is tolerated" : ", tolerated"}
          </Box>
        )}
      </Box>
    );
  };
  return (
    <SheetPart title="Score">
      {part("score", "")}
      {risk.response && part("scoreAfter", ", after")}
    </SheetPart>
  );
}
