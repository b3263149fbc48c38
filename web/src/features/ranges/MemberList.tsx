import { Box, chakra, Flex } from "@chakra-ui/react";
import { X } from "lucide-react";
import type { PlanView } from "../../shared/api/client";
import type { Pick } from "../../shared/ui/Picker";
import { PickerPopover } from "../../shared/ui/PickerPopover";
import { nameOf, rangedBeneath, rangedRows } from "./selection";

const Button = chakra("button");

interface Props {
  plan: PlanView;
  members: string[];
  onChange: (members: string[]) => void;
}

/** Who moves together: activities and cost lines, added one by one or a branch at a time. */
export function MemberList({ plan, members, onChange }: Props) {
  const there = new Set(members);
  const add = (id: string) =>
    onChange([...members, ...rangedBeneath(plan, [id]).filter((one) => !there.has(one))]);
  const find = (text: string): Pick[] => {
    const wanted = text.trim().toLowerCase();
    const fits = (...names: string[]) => names.some((name) => name.toLowerCase().includes(wanted));
    const branches = plan.branches
      .filter(({ code, name }) => fits(code, name))
      .map(({ id, code, name }) => ({ id, code, label: name, group: "All of a branch" }));
    const free = rangedRows(plan)
      .filter(({ id, name }) => !there.has(id) && fits(id, name))
      .map(({ id, name }) => ({ id, code: id, label: name, group: "Activities and cost lines" }));
    return wanted === "" ? [...branches, ...free] : [...free, ...branches];
  };
  return (
    <Box>
      <Flex gap="1.5" wrap="wrap" maxH="120px" overflow="auto">
        {members.map((member) => (
          <Flex
            key={member}
            align="center"
            gap="1"
            px="2"
            bg="ground"
            borderWidth="1px"
            borderColor="line"
            title={nameOf(plan, member)}
          >
            <b>{member}</b>
            <Box maxW="150px" overflow="hidden" textOverflow="ellipsis" whiteSpace="nowrap">
              {nameOf(plan, member)}
            </Box>
            <Button
              aria-label={`Take ${member} out`}
              color="softInk"
              onClick={() => onChange(members.filter((one) => one !== member))}
            >
              <X size={13} />
            </Button>
          </Flex>
        ))}
      </Flex>
      <PickerPopover
        title="Who moves together with them"
        label="Look for an activity, cost line or branch"
        placeholder="Code or name"
        find={find}
        onChoose={(item) => add(item.id)}
      >
        <Button
          mt="2"
          px="2"
          py="0.5"
          bg="ground"
          borderWidth="1px"
          borderColor="line"
          aria-label="Add a member"
        >
          Add…
        </Button>
      </PickerPopover>
    </Box>
  );
}
