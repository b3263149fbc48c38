import { Box, chakra } from "@chakra-ui/react";
import type { PlanView } from "../../shared/api/client";
import { civil } from "../../shared/format/dates";
import { ROW_HEIGHT } from "../../shared/grid/gridLook";
import { isAcross } from "../../shared/planGrid/filters";
import type { TimeScale } from "../../shared/charts/timeScale";

const Svg = chakra("svg");
const BEND = 9;

interface Props {
  plan: PlanView;
  selected: string | undefined;
  tops: ReadonlyMap<string, number>;
  scale: TimeScale;
  /** How far from the middle of its row a rail lies. */
  shift: number;
}

/**
 * The logic links of the selected activity, and in a programme those from project to project, dashed; drawn where both ends are
 * in view.
 */
export function LinkLines({ plan, selected, tops, scale, shift }: Props) {
  const across = plan.project.programme ? plan.links.filter(isAcross) : [];
  const own = plan.links.filter((link) => link.from === selected || link.to === selected);
  const byId = new Map(plan.activities.map((activity) => [activity.id, activity]));
  const lines = [...across.filter((link) => !own.includes(link)), ...own].flatMap((link) => {
    const [from, to] = [byId.get(link.from), byId.get(link.to)];
    const [fromTop, toTop] = [tops.get(link.from), tops.get(link.to)];
    if (!from || !to || fromTop === undefined || toTop === undefined) return [];
    const x1 = scale.x(civil(link.type[0] === "F" ? from.finish : from.start));
    const x2 = scale.x(civil(link.type[1] === "S" ? to.start : to.finish));
    const [y1, y2] = [fromTop + ROW_HEIGHT / 2 + shift, toTop + ROW_HEIGHT / 2 + shift];
    const end = link.type[1] === "S" ? -BEND : BEND;
    const d = `M${x1} ${y1}C${x1 + BEND * 2} ${y1} ${x2 + end * 2} ${y2} ${x2} ${y2}`;
    return [{ key: `${link.from} ${link.to} ${link.type}`, d, x: x2, y: y2, own: own.includes(link) }];
  });
  if (lines.length === 0) return null;
  return (
    <Svg width={scale.width} height="1px" overflow="visible" display="block">
      {lines.map((line) => (
        <Box as="g" key={line.key} color={line.own ? "action" : "ink"} data-link={line.key}>
          <path
            d={line.d}
            fill="none"
            stroke="currentColor"
            strokeWidth="1.5"
            strokeDasharray={line.own ? undefined : "5 3"}
          />
          <circle cx={line.x} cy={line.y} r="3" fill="currentColor" />
        </Box>
      ))}
    </Svg>
  );
}
