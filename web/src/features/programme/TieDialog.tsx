import { Box, Flex } from "@chakra-ui/react";
import { useId, useState } from "react";
import { ApiError } from "../../shared/api/client";
import { usePlan } from "../../shared/api/plan";
import { type Tie, useTie } from "../../shared/api/programmes";
import { useRegister } from "../../shared/api/risks";
import { Choice } from "../../shared/ui/Choice";
import { Refusal } from "../../shared/ui/Refusal";
import { WideDialog } from "../../shared/ui/WideDialog";
import { Entry } from "../../shared/ui/Entry";
import { DialogEnd } from "./DialogEnd";
import { freeTie, idsOf } from "./tieWords";

const KINDS: { value: Tie["kind"]; label: string }[] = [
  { value: "logic", label: "Work waits for work" },
  { value: "risk", label: "One event for several" },
  { value: "together", label: "Estimates move together" },
  { value: "resource", label: "A shared resource" },
];

const HOW: Record<Tie["kind"], string> = {
  logic: "Work of one project cannot begin, or end, before work of another has.",
  risk: "The event strikes all of them or none, as often as the first says; each says itself what it does there.",
  together: "Where one turns out long, so do the others: one contractor, one weather.",
  resource: "All draw on the same units. Nothing is put off for it; it is told how often there are too few.",
};

interface Fields {
  from: string;
  to: string;
  type: string;
  lag: string;
  name: string;
  several: string;
  number: string;
}

const EMPTY: Fields = { from: "", to: "", type: "FS", lag: "0d", name: "", several: "", number: "" };

/** What somebody typed as a number; nothing where that is none. */
function numberOf({ number }: Fields): number | undefined {
  const value = Number(number.trim().replace(",", "."));
  return number.trim() === "" || !Number.isFinite(value) ? undefined : value;
}

function tieOf(kind: Tie["kind"], id: string, fields: Fields): Tie {
  const number = numberOf(fields) ?? 0;
  switch (kind) {
    case "logic":
      return { kind, id, from: fields.from.trim(), to: fields.to.trim(), type: fields.type, lag: fields.lag };
    case "risk":
      return { kind, id, risk: fields.from.trim(), others: idsOf(fields.several) };
    case "together":
      return { kind, id, name: fields.name, members: idsOf(fields.several), coefficient: number };
    case "resource":
      return { kind, id, name: fields.name, resources: idsOf(fields.several), limit: number };
  }
}

interface Props {
  programme: string;
  taken: string[];
  onClose: () => void;
}

/** Ties two projects of a programme, in one of four ways. */
export function TieDialog({ programme, taken, onClose }: Props) {
  const [kind, setKind] = useState<Tie["kind"]>("logic");
  const [fields, setFields] = useState(EMPTY);
  const [handedIn, setHandedIn] = useState<string>();
  const tie = useTie(programme);
  const rows = useId();
  const risks = useId();
  const plan = usePlan(programme).data;
  const register = useRegister(programme, plan?.project.revision ?? 0).data;
  const entry = (label: string, field: keyof Fields, more: { hint?: string; list?: string } = {}) => (
    <Entry
      label={label}
      value={fields[field]}
      wrong={
        field === "number" && handedIn === fields.number && numberOf(fields) === undefined
          ? "Say a number here."
          : wrongOf(tie.error, field)
      }
      onChange={(event) => setFields({ ...fields, [field]: event.target.value })}
      {...more}
    />
  );
  const send = () => {
    setHandedIn(fields.number);
    const isNumbered = kind === "together" || kind === "resource";
    if (isNumbered && numberOf(fields) === undefined) return;
    tie.mutate(tieOf(kind, freeTie(taken), fields), { onSuccess: onClose });
  };
  return (
    <WideDialog title="Tie projects" width="720px" onClose={onClose}>
      <Box asChild flex="1">
        <form
          onSubmit={(event) => {
            event.preventDefault();
            send();
          }}
        >
          <Choice label="How they are tied" choices={KINDS} value={kind} onChange={setKind} />
          <Box color="softInk" mt="3">
            {HOW[kind]}
          </Box>
          {kind === "logic" && (
            <>
              {entry("Before", "from", {
                list: rows,
                hint: "Such as KR:S50: the project’s code, a colon, the row",
              })}
              {entry("After", "to", { list: rows })}
              <Flex gap="4">
                {entry("Link", "type", { hint: "FS, SS, FF or SF" })}
                {entry("Lag", "lag", { hint: "Such as 5d; 0d for none" })}
              </Flex>
            </>
          )}
          {kind === "risk" && (
            <>
              {entry("The risk whose chance holds", "from", { list: risks })}
              {entry("The same event in other registers", "several", {
                list: risks,
                hint: "Several with commas between",
              })}
            </>
          )}
          {kind === "together" && (
            <>
              {entry("Name", "name")}
              {entry("What moves together", "several", {
                list: rows,
                hint: "Activities or cost lines, with commas between",
              })}
              {entry("Rank correlation", "number", { hint: "0 to 1" })}
            </>
          )}
          {kind === "resource" && (
            <>
              {entry("Name", "name")}
              {entry("What each project calls it", "several", { hint: "Such as KR:crew, VC:crew" })}
              {entry("How many there are for all", "number")}
            </>
          )}
          <datalist id={rows}>
            {plan?.activities.map((one) => (
              <option key={one.id} value={one.id}>
                {one.name}
              </option>
            ))}
          </datalist>
          <datalist id={risks}>
            {register?.risks.map((one) => (
              <option key={one.id} value={one.id}>
                {one.title}
              </option>
            ))}
          </datalist>
          {tie.error && <Refusal mt="4">{tie.error.message}</Refusal>}
          <DialogEnd act="Tie them" busy={tie.isPending} onLeave={onClose} />
        </form>
      </Box>
    </WideDialog>
  );
}

const POINTED: Partial<Record<keyof Fields, RegExp>> = {
  from: /^\/(from|risk)/,
  to: /^\/to/,
  type: /^\/type/,
  lag: /^\/lag/,
  several: /^\/(others|members|resources)/,
  number: /^\/(coefficient|limit)/,
};

function wrongOf(error: Error | null, field: keyof Fields): string | undefined {
  if (!(error instanceof ApiError)) return undefined;
  return error.problems.find(({ pointer }) => POINTED[field]?.test(pointer))?.message;
}
