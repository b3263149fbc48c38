import { Box, chakra, Flex } from "@chakra-ui/react";
import { ArrowDown, ArrowUp, X } from "lucide-react";
import type { RangeView } from "../../shared/api/client";
import { shownParameter, withParameter, withShapeWord } from "../../shared/range/draft";
import { PARAMETER_LABELS, SHAPE_INFO } from "../../shared/range/shapes";
import { SmallDensity } from "../../shared/range/SmallDensity";
import { TextField } from "../../shared/ui/Field";
import { ToolButton } from "../../shared/ui/ToolButton";
import type { GradeDraft } from "./grades";

const Input = chakra("input");
const Select = chakra("select");
const LOOK = { bg: "ground", borderWidth: "1px", borderColor: "line", px: "2", py: "0.5" } as const;
const SHAPES = Object.entries(SHAPE_INFO).filter(([, info]) => !info.list);

/** What a grade makes of a planned value of one, for choosing another shape about as wide. */
const AROUND_ONE = {
  id: "",
  range: {
    shape: "triangular",
    limits: true,
    planned: 1,
    low: 0.85,
    likely: 1,
    high: 1.3,
    mean: 1.05,
    sd: 0.1,
    plannedChance: 0.3,
    density: [0, 100, 0],
  },
};

interface Props {
  grade: GradeDraft;
  users: number;
  /** What it makes of 100, as it is kept; absent where it has been changed since. */
  range?: RangeView;
  first: boolean;
  last: boolean;
  onChange: (grade: GradeDraft) => void;
  onMove: (by: 1 | -1) => void;
  onRemove: () => void;
}

/** One grade in its table. */
export function GradeRow({ grade, users, range, first, last, onChange, onMove, onRemove }: Props) {
  const words = { ...grade.shape, basis: "factor" };
  return (
    <Box py="2" borderTopWidth="1px" borderColor="line" role="group" aria-label={grade.name}>
      <Flex gap="2" align="center">
        <Input
          {...LOOK}
          width="46px"
          aria-label="Mark"
          title="A letter or two for it"
          value={grade.mark}
          onChange={(event) => onChange({ ...grade, mark: event.target.value })}
        />
        <Input
          {...LOOK}
          width="150px"
          fontWeight="600"
          aria-label="Name"
          value={grade.name}
          onChange={(event) => onChange({ ...grade, name: event.target.value })}
        />
        <Input
          {...LOOK}
          flex="1"
          aria-label="When to use it"
          placeholder="When to use it"
          value={grade.note}
          onChange={(event) => onChange({ ...grade, note: event.target.value })}
        />
        <Box color="softInk" width="74px" textAlign="right">
          {users === 1 ? "1 row" : `${users} rows`}
        </Box>
        <ToolButton label={`${grade.name} up`} disabled={first} onClick={() => onMove(-1)}>
          <ArrowUp size={14} />
        </ToolButton>
        <ToolButton label={`${grade.name} down`} disabled={last} onClick={() => onMove(1)}>
          <ArrowDown size={14} />
        </ToolButton>
        <ToolButton
          label={`Remove ${grade.name}`}
          hint={users > 0 ? "It is used; give its rows another first" : `Remove ${grade.name}`}
          disabled={users > 0}
          onClick={onRemove}
        >
          <X size={14} />
        </ToolButton>
      </Flex>
      <Flex gap="4" mt="1.5" pl="54px" align="flex-start" wrap="wrap">
        <Select
          {...LOOK}
          width="126px"
          aria-label="Shape"
          value={grade.shape.shape}
          onChange={(event) =>
            onChange({ ...grade, shape: withShapeWord(words, event.target.value, AROUND_ONE, 1) })
          }
        >
          {SHAPES.map(([value, { label }]) => (
            <option key={value} value={value}>
              {label}
            </option>
          ))}
        </Select>
        {SHAPE_INFO[grade.shape.shape]?.parameters.map((parameter) => (
          <Box key={parameter} width="196px">
            <TextField
              label={`${PARAMETER_LABELS[parameter]}, %`}
              name={parameter}
              value={shownParameter(words, parameter)}
              onHandIn={(text) => {
                const next = withParameter(words, parameter, text);
                if ("refusal" in next) return next.refusal;
                onChange({ ...grade, shape: next });
                return undefined;
              }}
            />
          </Box>
        ))}
        <Box flex="1" />
        {range && <SmallDensity range={range} low={40} high={230} width={190} height={27} />}
      </Flex>
    </Box>
  );
}
