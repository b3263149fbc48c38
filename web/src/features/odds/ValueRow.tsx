import { chakra, Table } from "@chakra-ui/react";
import { X } from "lucide-react";
import { formatChance, formatOne } from "../../shared/format/numbers";
import type { Quantity } from "../../shared/odds/quantity";
import type { Subject } from "../../shared/odds/subject";
import { useReading } from "./useOdds";

const Button = chakra("button");

interface Props {
  quantity: Quantity;
  value: number;
  run: string;
  subject: Subject;
  onLook: () => void;
  onLeaveOut: () => void;
}

/** A date or an amount of one's own: its chance, and the error of that chance. */
export function ValueRow({ quantity, value, run, subject, onLook, onLeaveOut }: Props) {
  const { data } = useReading(run, subject, { by: "value", value });
  return (
    <Table.Row bg="transparent" cursor="pointer" data-value={value} onClick={onLook}>
      <Table.Cell whiteSpace="nowrap">{data ? formatChance(data.chance) : "…"}</Table.Cell>
      <Table.Cell textAlign="right" whiteSpace="nowrap">
        {quantity.format(value)}
      </Table.Cell>
      <Table.Cell
        textAlign="right"
        whiteSpace="nowrap"
        color="softInk"
        title="Half the 95 % interval of the chance"
      >
        {data && `± ${formatOne(100 * data.chanceError)} %`}
      </Table.Cell>
      <Table.Cell textAlign="right" whiteSpace="nowrap">
        {data && quantity.formatFromPlan(data.fromPlan)}
      </Table.Cell>
      <Table.Cell textAlign="right">
        <Button
          aria-label={`Leave out ${quantity.format(value)}`}
          color="softInk"
          opacity="0.5"
          _hover={{ opacity: 1 }}
          onClick={(event) => {
            event.stopPropagation();
            onLeaveOut();
          }}
        >
          <X size={11} />
        </Button>
      </Table.Cell>
    </Table.Row>
  );
}
