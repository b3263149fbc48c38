import { Box, Flex } from "@chakra-ui/react";
import { ArrowDown, ArrowUp, X } from "lucide-react";
import { shownParameter, withParameter } from "../../shared/range/draft";
import { PARAMETER_LABELS, SHAPE_INFO } from "../../shared/range/shapes";
import { TextField } from "../../shared/ui/Field";
import { ToolButton } from "../../shared/ui/ToolButton";
import type { GradeRow } from "./GradeGrid";
import { type GradeDraft, inPercent } from "./grades";

interface Props {
  row: GradeRow;
  first: boolean;
  last: boolean;
  onChange: (grade: GradeDraft) => void;
  onMove: (by: 1 | -1) => void;
  onRemove: () => void;
}

/** All that makes the shape of the selected grade, and where it stands in the table. */
export function GradeTools({ row, first, last, onChange, onMove, onRemove }: Props) {
  const { grade, users } = row;
  const words = inPercent(grade);
  return (
    <Flex gap="5" mt="3" align="flex-start" wrap="wrap" role="group" aria-label={grade.name}>
      <Flex align="center">
        <Box fontWeight="600" mr="2">
          {grade.name}
        </Box>
        <ToolButton label={`${grade.name} up`} hint="Up (Alt ↑)" disabled={first} onClick={() => onMove(-1)}>
          <ArrowUp size={14} />
        </ToolButton>
        <ToolButton
          label={`${grade.name} down`}
          hint="Down (Alt ↓)"
          disabled={last}
          onClick={() => onMove(1)}
        >
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
    </Flex>
  );
}
