import { Box, chakra } from "@chakra-ui/react";
import type { DateOrder } from "../api/schedules";

const Label = chakra("label");
const Select = chakra("select");

/** Which number of 3/4/27 is the day. */
export function DateOrderChoice({
  value,
  onChange,
}: {
  value: DateOrder;
  onChange: (order: DateOrder) => void;
}) {
  return (
    <Label>
      <Box color="softInk">Dates such as 3/4/27</Box>
      <Select
        aria-label="Order of dates"
        bg="panel"
        borderWidth="1px"
        borderColor="line"
        px="2"
        h="36px"
        value={value}
        onChange={(event) => onChange(event.target.value as DateOrder)}
      >
        <option value="">recognised from the file</option>
        <option value="DAY_FIRST">are 3 April</option>
        <option value="MONTH_FIRST">are March 4</option>
      </Select>
    </Label>
  );
}
