import { chakra, Flex } from "@chakra-ui/react";
import { X } from "lucide-react";
import { useEffect, useRef } from "react";
import { useGridStore, viewOf, withFirst } from "./gridStore";
import type { Choices } from "./types";

const Input = chakra("input");
const Select = chakra("select");
const Button = chakra("button");
const FIELD = { bg: "panel", borderWidth: "1px", borderColor: "line", px: "2", py: "0.5" } as const;

interface Props {
  grid: string;
  filters: Choices;
  /** The filter that holds until one is chosen or something is looked for. */
  first?: string;
}

/** Looks for rows by text and by what is the matter with them; "/" goes there, Esc gives all rows back. */
export function FindBar({ grid, filters, first }: Props) {
  const search = withFirst(
    useGridStore((state) => viewOf(state, grid).search),
    first,
  );
  const { look } = useGridStore.getState();
  const input = useRef<HTMLInputElement>(null);
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const typing =
        event.target instanceof HTMLElement && /^(INPUT|SELECT|TEXTAREA)$/.test(event.target.tagName);
      if (event.key !== "/" || typing) return;
      event.preventDefault();
      input.current?.focus();
    };
    window.addEventListener("keydown", onKey);
    return () => window.removeEventListener("keydown", onKey);
  }, []);
  const clear = () => look(grid, { text: "", filter: "", rows: undefined });
  const looking = search.text !== "" || search.filter || search.rows;
  return (
    <Flex role="search" gap="1.5" align="center">
      <Input
        {...FIELD}
        ref={input}
        width="92px"
        aria-label="Find rows"
        placeholder="Find  /"
        value={search.text}
        onChange={(event) => look(grid, { text: event.target.value })}
        onKeyDown={(event) => event.key === "Escape" && clear()}
      />
      <Select
        {...FIELD}
        maxW="122px"
        aria-label="Show rows"
        value={search.rows ? "rows" : (search.filter ?? "")}
        onChange={(event) => look(grid, { filter: event.target.value, rows: undefined })}
      >
        {search.rows && <option value="rows">{search.rows.title}</option>}
        {filters.map((filter) => (
          <option key={filter.value} value={filter.value}>
            {filter.label}
          </option>
        ))}
      </Select>
      {looking && (
        <Button aria-label="Show all rows" title="Show all rows" color="softInk" onClick={clear}>
          <X size={15} />
        </Button>
      )}
    </Flex>
  );
}
