import { Box, Button, chakra, Flex } from "@chakra-ui/react";
import { useState } from "react";
import type { PlanView, ScaleView, SchemeView } from "../../shared/api/client";
import { refusalOf } from "../../shared/api/edits";
import { type RiskEdits, scaledScheme } from "../../shared/api/risks";
import { editedNumber, parseMoney, parseNumber } from "../../shared/format/numbers";
import { Refusal } from "../../shared/ui/Refusal";
import { WideDialog } from "../../shared/ui/WideDialog";
import { SchemeLevels } from "./SchemeLevels";
import { limitsBeside, withKind, withLevels, withoutKind } from "./scheme";

const Input = chakra("input");
const Select = chakra("select");
const FIELD = { bg: "ground", borderWidth: "1px", borderColor: "line", px: "1.5", py: "0.5" } as const;

interface Props {
  plan: PlanView;
  kept?: SchemeView;
  edits: RiskEdits;
  onClose: () => void;
}

/** The project's own scheme: levels of chance and of each kind of effect, and what is tolerated. */
export function SchemeDialog({ plan, kept, edits, onClose }: Props) {
  const [draft, setDraft] = useState(kept);
  const [scaled, setScaled] = useState<SchemeView>();
  const [refusal, setRefusal] = useState<string>();
  const attempt = async (action: () => Promise<unknown>) => {
    setRefusal(undefined);
    try {
      await action();
    } catch (error) {
      setRefusal(refusalOf(error));
    }
  };
  const change = (next: SchemeView) => {
    setRefusal(undefined);
    setDraft(next);
  };
  const begin = () => attempt(async () => setDraft(await scaledScheme(plan.project.id)));
  const keep = () =>
    attempt(async () => {
      if (draft) await edits.scheme(draft);
      onClose();
    });
  return (
    <WideDialog title="Scoring scheme" onClose={onClose}>
      {!draft ? (
        <Box>
          <Box mb="3" maxW="36rem">
            A starter has five levels of chance, of delay, of loss and of harm to people. Its limits suit the
            duration and the planned cost of this project; every name and number can be changed afterwards.
          </Box>
          <Button size="sm" bg="action" color="onAction" onClick={() => void begin()}>
            Begin with the starter
          </Button>
          {refusal && <Refusal mt="2">{refusal}</Refusal>}
        </Box>
      ) : (
        <Box flex="1" minW="0">
          <Flex gap="6" wrap="wrap" align="flex-start">
            <SchemeLevels
              title="Chance"
              levels={draft.chance}
              unit="%"
              read={(text) => {
                const percent = parseNumber(text.replace(/\s*%$/, ""));
                return percent === undefined ? undefined : percent / 100;
              }}
              show={(value) => editedNumber(Math.round(value * 1e4) / 100)}
              onLevels={(chance) => change(withLevels(draft, "chance", chance))}
            />
            {draft.effects.map((scale) => (
              <SchemeLevels
                key={scale.kind}
                title={scale.name}
                levels={scale.levels}
                unit={unitOf(scale, plan)}
                read={scale.unit === "money" ? parseMoney : parseNumber}
                show={(value) => editedNumber(value)}
                onTitle={(name) =>
                  change({
                    ...draft,
                    effects: draft.effects.map((one) => (one.kind === scale.kind ? { ...one, name } : one)),
                  })
                }
                onRemove={draft.effects.length > 1 ? () => change(withoutKind(draft, scale.kind)) : undefined}
                onLevels={(levels) => change(withLevels(draft, scale.kind, levels))}
              />
            ))}
          </Flex>
          <Box my="3">
            <Flex gap="2" align="center" wrap="wrap">
              <Box color="softInk">Another kind of effect:</Box>
              <Input
                {...FIELD}
                aria-label="Another kind of effect"
                placeholder="Quality, Enter"
                onKeyDown={(event) => {
                  const name = event.currentTarget.value.trim();
                  if (event.key !== "Enter" || name === "") return;
                  event.preventDefault();
                  change(withKind(draft, name));
                  event.currentTarget.value = "";
                }}
              />
              <Box color="softInk">Scored, and not simulated.</Box>
            </Flex>
          </Box>
          <Box as="section" aria-label="Tolerated" mb="3">
            <Box as="h3" fontWeight="650" mb="1">
              Tolerated up to
            </Box>
            <Flex gap="3" wrap="wrap">
              {draft.chance.map((level, c) => (
                <Flex as="label" key={c} direction="column">
                  <Box color="softInk" fontSize="12.5px">
                    {level.name}
                  </Box>
                  <Select
                    {...FIELD}
                    aria-label={`Tolerated where ${level.name}`}
                    value={draft.tolerated[c] ?? 0}
                    onChange={(event) =>
                      change({
                        ...draft,
                        tolerated: draft.tolerated.map((one, i) =>
                          i === c ? Number(event.target.value) : one,
                        ),
                      })
                    }
                  >
                    <option value={0}>nothing</option>
                    {longest(draft).map((name, e) => (
                      <option key={e} value={e + 1}>
                        {e + 1} {name}
                      </option>
                    ))}
                  </Select>
                </Flex>
              ))}
            </Flex>
          </Box>
          {scaled ? (
            <Scaled
              now={draft}
              then={scaled}
              onTake={() => {
                change(scaled);
                setScaled(undefined);
              }}
              onLeave={() => setScaled(undefined)}
            />
          ) : (
            kept && (
              <Button
                size="xs"
                variant="outline"
                mb="3"
                onClick={() => void attempt(async () => setScaled(await scaledScheme(plan.project.id)))}
              >
                Scale to this project’s duration and cost…
              </Button>
            )
          )}
          {refusal && <Refusal mb="2">{refusal}</Refusal>}
          <Flex gap="2">
            <Button size="sm" bg="action" color="onAction" onClick={() => void keep()}>
              Keep the scheme
            </Button>
            <Button size="sm" variant="ghost" onClick={onClose}>
              Leave it as it was
            </Button>
          </Flex>
        </Box>
      )}
    </WideDialog>
  );
}

const unitOf = (scale: ScaleView, plan: PlanView) =>
  scale.unit === "money" ? plan.project.currency : scale.unit === "days" ? "days" : undefined;

const longest = (scheme: SchemeView) =>
  scheme.effects.reduce<string[]>(
    (most, scale) => (scale.levels.length > most.length ? scale.levels.map(({ name }) => name) : most),
    [],
  );

interface ScaledProps {
  now: SchemeView;
  then: SchemeView;
  onTake: () => void;
  onLeave: () => void;
}

/** Old and new limits side by side. */
function Scaled({ now, then, onTake, onLeave }: ScaledProps) {
  return (
    <Box as="section" aria-label="Scaled limits" mb="3" p="3" bg="actionTint">
      <Box mb="2">Limits that suit the planned duration and cost of this project, beside those of now:</Box>
      <Flex gap="8" wrap="wrap">
        {limitsBeside(now, then).map(({ name, rows }) => (
          <Box key={name}>
            <Box fontWeight="650">{name}</Box>
            {rows.map(({ level, from, to }) => (
              <Flex key={level} gap="3">
                <Box width="80px" color="softInk">
                  {level}
                </Box>
                <Box width="90px" textAlign="right">
                  {from}
                </Box>
                <Box>→</Box>
                <Box width="90px" textAlign="right" fontWeight="650">
                  {to}
                </Box>
              </Flex>
            ))}
          </Box>
        ))}
      </Flex>
      <Flex gap="2" mt="2">
        <Button size="xs" bg="action" color="onAction" onClick={onTake}>
          Take the new limits
        </Button>
        <Button size="xs" variant="ghost" onClick={onLeave}>
          Leave those of now
        </Button>
      </Flex>
    </Box>
  );
}
