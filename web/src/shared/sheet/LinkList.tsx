import { Box, chakra, Flex } from "@chakra-ui/react";
import { X } from "lucide-react";
import { useId, useState } from "react";
import type { ActivityView, Neighbour, PlanView } from "../api/client";
import { useRowEdits } from "../api/rowEdits";
import { useGridStore } from "../grid/gridStore";
import { handedIn } from "./useHandIn";
import { LINK_TYPES, linkText } from "./words";
import { Refusal } from "../ui/Refusal";

const Input = chakra("input");
const Select = chakra("select");
const Button = chakra("button");
const FIELD = { bg: "ground", borderWidth: "1px", borderColor: "line", px: "1", py: "0.5" } as const;

interface Props {
  plan: PlanView;
  activity: ActivityView;
  side: "predecessors" | "successors";
  links: Neighbour[];
}

/** The links on one side of an activity: type and lag to be changed, taken out, and new ones put in. */
export function LinkList({ plan, activity, side, links }: Props) {
  const edits = useRowEdits(plan.project.id);
  const [refusal, setRefusal] = useState<string>();
  const [fresh, setFresh] = useState("");
  const list = useId();

  /** Sends the links into an activity as they shall be. */
  const send = async (into: string, from: { from: string; type: string; lag: string }[]) => {
    const refused = await handedIn(() =>
      edits.rows([{ id: into, predecessors: from.map(linkText).join("; ") }]),
    );
    setRefusal(refused);
    return refused;
  };
  const into = (id: string) => plan.links.filter((link) => link.to === id);
  const isThis = (link: { from: string; type: string; lag: string }, one: Neighbour, from: string) =>
    link.from === from && link.type === one.type && link.lag === one.lag;

  const change = (one: Neighbour, next?: { type?: string; lag?: string }) => {
    const [from, to] = side === "predecessors" ? [one.id, activity.id] : [activity.id, one.id];
    return send(
      to,
      into(to).flatMap((link) => (isThis(link, one, from) ? (next ? [{ ...link, ...next }] : []) : [link])),
    );
  };
  const add = async (text: string) => {
    const id = text.trim().split(/\s/)[0] ?? "";
    if (id === "") return;
    const known = plan.activities.find((other) => other.id.toLowerCase() === id.toLowerCase());
    if (!known) return setRefusal(`There is no activity “${id}”.`);
    const [from, to] = side === "predecessors" ? [known.id, activity.id] : [activity.id, known.id];
    const refused = await send(to, [...into(to), { from, type: "FS", lag: "0d" }]);
    if (!refused) setFresh("");
  };

  return (
    <>
      {links.map((one) => (
        <Flex key={one.id + one.type + one.lag} align="center" gap="1.5" mb="1" data-link={one.id}>
          <Button
            flex="1"
            minW="0"
            textAlign="left"
            overflow="hidden"
            textOverflow="ellipsis"
            whiteSpace="nowrap"
            title={`${one.name}${one.drives ? ", which holds it where it stands" : ""}`}
            onClick={() => useGridStore.getState().select(plan.project.id, { row: one.id, column: "name" })}
          >
            <Box as="span" color={one.drives ? "planText" : "softInk"} fontWeight={one.drives ? 650 : 400}>
              {one.id}
            </Box>{" "}
            {one.name}
          </Button>
          <Select
            {...FIELD}
            aria-label={`Type of the link with ${one.id}`}
            value={one.type}
            title={LINK_TYPES.find((type) => type.value === one.type)?.label}
            onChange={(event) => void change(one, { type: event.target.value })}
          >
            {LINK_TYPES.map((type) => (
              <option key={type.value}>{type.value}</option>
            ))}
          </Select>
          <Input
            {...FIELD}
            width="58px"
            textAlign="right"
            aria-label={`Lag of the link with ${one.id}`}
            key={one.lag}
            defaultValue={one.lag}
            onBlur={(event) =>
              event.target.value !== one.lag && void change(one, { lag: event.target.value })
            }
            onKeyDown={(event) => event.key === "Enter" && event.currentTarget.blur()}
          />
          <Button
            aria-label={`Remove the link with ${one.id}`}
            color="softInk"
            onClick={() => void change(one)}
          >
            <X size={14} />
          </Button>
        </Flex>
      ))}
      {links.some((one) => one.drives) && side === "predecessors" && (
        <Box color="softInk" fontSize="12.5px" mb="1">
          Marigold holds it where it stands.
        </Box>
      )}
      <Input
        {...FIELD}
        width="100%"
        list={list}
        aria-label={side === "predecessors" ? "Add a predecessor" : "Add a successor"}
        placeholder="Add: code or name…"
        value={fresh}
        onChange={(event) => setFresh(event.target.value)}
        onKeyDown={(event) => event.key === "Enter" && void add(fresh)}
        onBlur={() => void add(fresh)}
      />
      <datalist id={list}>
        {fresh.length > 0 &&
          plan.activities
            .filter((other) => `${other.id} ${other.name}`.toLowerCase().includes(fresh.toLowerCase()))
            .slice(0, 20)
            .map((other) => <option key={other.id} value={`${other.id} ${other.name}`} />)}
      </datalist>
      {refusal && <Refusal mt="1">{refusal}</Refusal>}
    </>
  );
}
