import { Box, chakra, Flex } from "@chakra-ui/react";
import { Link, Outlet } from "react-router";
import { PersonMenu } from "../features/people/PersonMenu";

const Home = chakra(Link);

/** What stands around pages that are about no single project. */
export function PlainFrame() {
  return (
    <Flex direction="column" height="100%" minHeight="0">
      <Flex
        as="header"
        height="46px"
        align="center"
        px="4"
        borderBottomWidth="1px"
        borderColor="line"
        bg="panel"
      >
        <Home to="/projects" color="action" fontWeight="650" letterSpacing="0.02em">
          Tychon
        </Home>
        <Box flex="1" />
        <PersonMenu />
      </Flex>
      <Box flex="1" minHeight="0" overflow="auto">
        <Outlet />
      </Box>
    </Flex>
  );
}
