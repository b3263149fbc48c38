import { Box, chakra, Flex } from "@chakra-ui/react";
import { X } from "lucide-react";
import type { PlanView } from "../../shared/api/client";
import { nameOf, rangedBeneath } from "./selection";

const Button = chakra("button");
const Select = chakra("select");

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
  const free = rangedBeneath(
    plan,
    plan.branches.map((branch) => branch.id).concat(plan.costs.map((cost) => cost.id)),
  ).filter((id) => !there.has(id));
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
      <Select
        mt="2"
        px="2"
        py="0.5"
        maxW="320px"
        bg="ground"
        borderWidth="1px"
        borderColor="line"
        aria-label="Add a member"
        value=""
        onChange={(event) => add(event.target.value)}
      >
        <option value="">Add…</option>
        <optgroup label="All of a branch">
          {plan.branches.map((branch) => (
            <option key={branch.id} value={branch.id}>
              {branch.code} {branch.name}
            </option>
          ))}
        </optgroup>
        <optgroup label="Activities and cost lines">
          {free.map((id) => (
            <option key={id} value={id}>
              {id} {nameOf(plan, id)}
            </option>
          ))}
        </optgroup>
      </Select>
    </Box>
  );
}
