import { Box, Button, chakra, Flex } from "@chakra-ui/react";
import { X } from "lucide-react";
import { useState } from "react";
import type { ScaleView } from "../../shared/api/client";
import { Refusal } from "../../shared/ui/Refusal";
import { addedLevel, withEnd } from "./scheme";

const Input = chakra("input");
const Link = chakra("button");
const FIELD = {
  bg: "ground",
  borderWidth: "1px",
  borderColor: "line",
  px: "1.5",
  py: "0.5",
  minW: 0,
} as const;

type Levels = ScaleView["levels"];

interface Props {
  title: string;
  levels: Levels;
  /** What limits are counted in; none where nothing is measured. */
  unit?: string;
  read: (text: string) => number | undefined;
  show: (value: number) => string;
  onTitle?: (title: string) => void;
  onRemove?: () => void;
  onLevels: (levels: Levels) => void;
}

/** Levels of one scale from low to high: what each is called, and where it ends. */
export function SchemeLevels({ title, levels, unit, read, show, onTitle, onRemove, onLevels }: Props) {
  const [refusal, setRefusal] = useState<string>();
  const end = (index: number, text: string) => {
    const value = read(text);
    if (value === undefined) return setRefusal(`A limit is a number, not “${text}”.`);
    setRefusal(undefined);
    onLevels(withEnd(levels, index, value));
  };
  return (
    <Box as="section" aria-label={`Levels of ${title.toLowerCase()}`} width="250px">
      <Flex gap="1" mb="1" align="center">
        {onTitle ? (
          <Input
            {...FIELD}
            flex="1"
            fontWeight="650"
            aria-label={`Name of ${title.toLowerCase()}`}
            key={title}
            defaultValue={title}
            onBlur={(event) => event.target.value.trim() && onTitle(event.target.value.trim())}
          />
        ) : (
          <Box as="h3" fontWeight="650" flex="1">
            {title}
          </Box>
        )}
        {unit && <Box color="softInk">up to, {unit}</Box>}
        {onRemove && (
          <Link aria-label={`Remove ${title.toLowerCase()}`} color="softInk" onClick={onRemove}>
            <X size={14} />
          </Link>
        )}
      </Flex>
      {levels.map((level, i) => (
        <Flex key={`${i} ${level.name} ${level.to}`} gap="1" mb="1" align="center">
          <Box color="softInk" width="14px">
            {i + 1}
          </Box>
          <Input
            {...FIELD}
            flex="1"
            aria-label={`Level ${i + 1} of ${title.toLowerCase()}`}
            defaultValue={level.name}
            onBlur={(event) => {
              const name = event.target.value.trim();
              if (name !== level.name)
                onLevels(levels.map((one, other) => (other === i ? { ...one, name } : one)));
            }}
          />
          {level.to !== undefined && (
            <Input
              {...FIELD}
              width="78px"
              textAlign="right"
              aria-label={`Level ${i + 1} of ${title.toLowerCase()} up to`}
              defaultValue={show(level.to)}
              onBlur={(event) => event.target.value !== show(level.to ?? 0) && end(i, event.target.value)}
            />
          )}
          <Link
            aria-label={`Remove level ${i + 1} of ${title.toLowerCase()}`}
            color="softInk"
            visibility={levels.length > 2 ? "visible" : "hidden"}
            onClick={() => onLevels(addedLevel(levels, i))}
          >
            <X size={13} />
          </Link>
        </Flex>
      ))}
      {levels.length < 10 && (
        <Button size="xs" variant="ghost" color="action" onClick={() => onLevels(addedLevel(levels))}>
          Add a level
        </Button>
      )}
      {refusal && <Refusal>{refusal}</Refusal>}
    </Box>
  );
}
