import { Box, chakra, Flex } from "@chakra-ui/react";
import { ChevronDown, ChevronUp, Pin, PinOff } from "lucide-react";
import { Link } from "react-router";
import type { LiveView, PlanView } from "../../shared/api/client";
import { useLiveOdds, useLiveOddsOf } from "../../shared/api/live";
import { formatWhole } from "../../shared/format/numbers";
import { ToolButton } from "../../shared/ui/ToolButton";
import { chanceSentence, costHeading, finishHeading, told } from "../../shared/heading/heading";
import { HorizonHalf } from "./HorizonHalf";
import { pinnable, type Pinned, pinnedLike, useHorizonStore } from "./horizonStore";

const PlanLink = chakra(Link);
const HEIGHT = 78;
const COLLAPSED = 30;

/** The strip of live odds at the foot of every stage: it moves as edits land, and says honestly what it shows. */
export function Horizon({ plan }: { plan: PlanView }) {
  const project = plan.project.id;
  const { view, current, error } = useLiveOdds(project, plan.project.revision);
  const { collapsed, setCollapsed, pinned, pin } = useHorizonStore();
  const { currency, confidence } = plan.project;
  const outlook = view?.outlook;
  const ofPlan = useOddsOfPlan(plan);
  const isPinned = pinned[project] !== undefined;
  const held = outlook && pinnedLike(pinned[project] ?? ofPlan, outlook);
  const than = isPinned || !ofPlan ? "pinned" : "in the plan";
  const finish = outlook && finishHeading(outlook, confidence);
  const cost = outlook && costHeading(outlook, confidence);
  const refused = current && view?.state === "refused";
  return (
    <Flex
      as="footer"
      aria-label="Horizon: live odds"
      height={`${collapsed ? COLLAPSED : HEIGHT}px`}
      flexShrink="0"
      bg="panel"
      borderTopWidth="1px"
      borderColor="strongLine"
      pl="4"
      pr="2"
      gap="5"
      overflow="hidden"
    >
      {refused ? (
        <Box role="alert" flex="1" alignSelf="center">
          The plan cannot be simulated: {view.refusal}.{" "}
          <PlanLink color="action" to={`/projects/${project}/plan?check`}>
            Look at the plan check
          </PlanLink>
        </Box>
      ) : finish && collapsed ? (
        <Flex
          flex="1"
          gap="6"
          align="center"
          whiteSpace="nowrap"
          overflow="hidden"
          color={current ? "ink" : "softInk"}
        >
          {[finish, ...(cost ? [cost] : [])].map((heading) => (
            <Box key={heading.name}>
              {heading.name === "finish" ? "Finish" : "Cost"} P{heading.level}{" "}
              <b>{told(heading, heading.kept, currency)}</b>. {chanceSentence(heading, currency)}
            </Box>
          ))}
        </Flex>
      ) : finish ? (
        <>
          <HorizonHalf
            heading={finish}
            pinned={held && finishHeading(held, confidence)}
            than={than}
            currency={currency}
            old={!current}
          />
          {cost && (
            <HorizonHalf
              heading={cost}
              pinned={held && costHeading(held, confidence)}
              than={than}
              currency={currency}
              old={!current}
            />
          )}
        </>
      ) : (
        <Box flex="1" alignSelf="center" color="softInk">
          {error
            ? `Live odds are not to be had: ${error.message}`
            : "Simulating the plan for the first time…"}
        </Box>
      )}
      <Flex
        direction={collapsed ? "row" : "column"}
        align="flex-end"
        justify="center"
        width="104px"
        flexShrink="0"
      >
        <Box role="status" fontSize="12px" color="softInk" whiteSpace="nowrap" data-live={current}>
          {liveWords(view, current)}
        </Box>
        <Flex>
          {!collapsed && (
            <ToolButton
              label={pinned[project] ? "Take the pin away" : "Pin these odds"}
              hint={
                pinned[project]
                  ? "Take the pin away"
                  : "Pin: hold these odds as the reference for what follows"
              }
              color={pinned[project] ? "action" : "softInk"}
              disabled={!pinned[project] && !(current && pinnable(view))}
              onClick={() => pin(project, pinned[project] ? undefined : pinnable(view))}
            >
              {pinned[project] ? <PinOff size={15} /> : <Pin size={15} />}
            </ToolButton>
          )}
          <ToolButton
            label={collapsed ? "Open the horizon" : "Fold the horizon"}
            onClick={() => setCollapsed(!collapsed)}
          >
            {collapsed ? <ChevronUp size={15} /> : <ChevronDown size={15} />}
          </ToolButton>
        </Flex>
      </Flex>
    </Flex>
  );
}

/** In a scenario, the odds of the plan itself, which are shown as a ghost until something else is pinned. */
function useOddsOfPlan({ project }: PlanView): Pinned | undefined {
  return pinnable(useLiveOddsOf(project.scenario?.of));
}

/** What is shown, honestly. */
function liveWords(view: LiveView | undefined, current: boolean): string {
  if (!current || !view) return "Updating…";
  if (view.state === "refused") return "Not simulated";
  const futures = `${formatWhole(view.outlook?.iterations ?? 0)} futures`;
  return view.state === "live" ? `${futures}, refining` : `Live, ${futures}`;
}
