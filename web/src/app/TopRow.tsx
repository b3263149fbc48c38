import { PersonMenu } from "../features/people/PersonMenu";
import { lazily } from "../shared/ui/lazily";
import { Box, chakra, Flex, IconButton } from "@chakra-ui/react";
import { Keyboard, Moon, Sun } from "lucide-react";
import { useEffect, useState } from "react";
import { NavLink } from "react-router";
import { currentColorMode, switchColorMode } from "./colorMode";
import { HereNow } from "./HereNow";
import { ProjectSwitcher } from "./ProjectSwitcher";
import { STAGES } from "./stages";
import { UndoButtons } from "./UndoButtons";

const KeysDialog = lazily(() => import("./KeysDialog"), "KeysDialog");
const StageLink = chakra(NavLink);

export function TopRow({ projectId, name, revision }: { projectId: string; name: string; revision: number }) {
  const [mode, setMode] = useState(currentColorMode);
  const [keysOpen, setKeysOpen] = useState(false);
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const typing =
        event.target instanceof HTMLElement && /^(INPUT|SELECT|TEXTAREA)$/.test(event.target.tagName);
      if (event.key === "?" && !typing) setKeysOpen(true);
    };
    window.addEventListener("keydown", onKey);
    return () => window.removeEventListener("keydown", onKey);
  }, []);

  return (
    <Flex
      as="header"
      height="46px"
      align="stretch"
      px="4"
      gap={{ base: "3", lg: "7" }}
      bg="panel"
      borderBottomWidth="1px"
      borderColor="line"
    >
      <ProjectSwitcher projectId={projectId} name={name} />
      <Flex
        as="nav"
        aria-label="Stages"
        gap={{ base: "0", lg: "1" }}
        align="stretch"
        minW="0"
        overflowX="auto"
        css={{ scrollbarWidth: "none" }}
      >
        {STAGES.map((stage) => (
          <StageLink
            key={stage.path}
            to={`/projects/${projectId}/${stage.path}`}
            display="flex"
            alignItems="center"
            px={{ base: "1.5", lg: "3" }}
            color="softInk"
            fontWeight="500"
            borderY="3px solid transparent"
            _hover={{ color: "ink" }}
            _focusVisible={{ outlineOffset: "-2px" }}
            css={{ "&.active": { color: "action", borderBottomColor: "action", fontWeight: 600 } }}
          >
            {stage.name}
          </StageLink>
        ))}
      </Flex>
      <Box flex="1" />
      <HereNow projectId={projectId} />
      <Flex align="center" gap="1">
        <UndoButtons projectId={projectId} revision={revision} />
        <IconButton
          size="sm"
          variant="ghost"
          color="softInk"
          aria-label="Keys"
          title="Keys (?)"
          onClick={() => setKeysOpen(true)}
        >
          <Keyboard />
        </IconButton>
        <IconButton
          size="sm"
          variant="ghost"
          color="softInk"
          aria-label={mode === "dark" ? "Light colours" : "Dark colours"}
          title={mode === "dark" ? "Light colours" : "Dark colours"}
          onClick={() => setMode(switchColorMode())}
        >
          {mode === "dark" ? <Sun /> : <Moon />}
        </IconButton>
        <PersonMenu projectId={projectId} />
      </Flex>
      {keysOpen && <KeysDialog onClose={() => setKeysOpen(false)} />}
    </Flex>
  );
}
