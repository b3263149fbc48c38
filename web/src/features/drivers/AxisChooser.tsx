import { chakra } from "@chakra-ui/react";
import type { ScatterAxis } from "../../shared/api/client";
import { PickerPopover } from "../../shared/ui/PickerPopover";

const Button = chakra("button");

/** What can be held against something: an input, or a date, duration or cost. */
export interface AxisItem {
  id: string;
  label: string;
  code: string;
  note: string;
}

interface ChooserProps {
  label: string;
  axis: ScatterAxis;
  find: (text: string) => readonly AxisItem[];
  onChoose: (key: string) => void;
}

/** What lies along one side of a scatter, looked for by code or name. */
export function AxisChooser({ label, axis, find, onChoose }: ChooserProps) {
  return (
    <PickerPopover
      title={label}
      label="Look for an input, or for a date or cost"
      placeholder="Code or name"
      find={find}
      onChoose={(item) => onChoose(item.id)}
    >
      <Button
        aria-label={`${label}: ${axis.name}`}
        width="100%"
        textAlign="left"
        px="2"
        py="1"
        mb="2"
        bg="ground"
        borderWidth="1px"
        borderColor="line"
        borderRadius="4px"
        cursor="pointer"
      >
        {axis.name}
      </Button>
    </PickerPopover>
  );
}
