import { Box, Combobox, createListCollection, Flex } from "@chakra-ui/react";
import { useMemo } from "react";

/** Something to choose. */
export interface Pick {
  id: string;
  label: string;
  /** What stands before it, such as a code, and what behind it, such as its kind or its key. */
  code?: string;
  note?: string;
  group?: string;
}

interface Props<P extends Pick> {
  label: string;
  placeholder: string;
  /** What fits what has been typed. */
  items: readonly P[];
  onText: (text: string) => void;
  onChoose: (item: P) => void;
  /** What is said where nothing fits, or at the end of a list that goes on. */
  foot?: string;
  height?: string;
}

/** A field with the list of what fits it under it: arrows go along it, Enter chooses. */
export function Picker<P extends Pick>(props: Props<P>) {
  const { label, items, onText, onChoose } = props;
  const collection = useMemo(
    () =>
      createListCollection<P>({
        items: [...items],
        itemToString: (item) => item.label,
        itemToValue: (item) => item.id,
      }),
    [items],
  );
  const groups = [...new Set(items.map((item) => item.group))];
  const entry = (item: P) => (
    <Combobox.Item
      key={item.id}
      item={item}
      data-item={item.id}
      display="flex"
      px="3"
      py="1.5"
      cursor="pointer"
      _highlighted={{ bg: "actionTint" }}
    >
      <Flex flex="1" minW="0" gap="3">
        {item.code !== undefined && (
          <Box color="softInk" width="54px" flexShrink="0">
            {item.code}
          </Box>
        )}
        <Box flex="1" minW="0" truncate>
          {item.label}
        </Box>
        <Box color="softInk" whiteSpace="nowrap">
          {item.note}
        </Box>
      </Flex>
    </Combobox.Item>
  );
  return (
    // Its look is given here: the library's own would be a part of every first load.
    <Combobox.Root
      unstyled
      display="flex"
      flexDirection="column"
      gap="1.5"
      width="100%"
      collection={collection}
      open
      autoFocus
      inputBehavior="autohighlight"
      selectionBehavior="clear"
      loopFocus={false}
      value={[]}
      onInputValueChange={(change) => onText(change.inputValue)}
      onValueChange={(change) => {
        const [item] = change.items;
        if (item) onChoose(item);
      }}
    >
      <Combobox.Control>
        <Combobox.Input
          aria-label={label}
          placeholder={props.placeholder}
          width="100%"
          height="36px"
          px="3"
          fontSize="14.5px"
          bg="ground"
          borderWidth="1px"
          borderColor="strongLine"
          borderRadius="4px"
        />
      </Combobox.Control>
      <Combobox.Content
        aria-label="What is found"
        position="static"
        display="flex"
        flexDirection="column"
        bg="panel"
        maxH={props.height ?? "56vh"}
        overflow="auto"
        px="0"
      >
        {groups.map((group) => (
          <Combobox.ItemGroup key={group ?? ""}>
            {group !== undefined && (
              <Combobox.ItemGroupLabel px="3" py="1" color="softInk" fontWeight="600">
                {group}
              </Combobox.ItemGroupLabel>
            )}
            {items.filter((item) => item.group === group).map(entry)}
          </Combobox.ItemGroup>
        ))}
        {props.foot && (
          <Box px="2" py="1" color="softInk" role="status">
            {props.foot}
          </Box>
        )}
      </Combobox.Content>
    </Combobox.Root>
  );
}
