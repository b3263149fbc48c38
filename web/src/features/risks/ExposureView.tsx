import { Box, chakra, Flex } from "@chakra-ui/react";
import { useRef, useState } from "react";
import type { ExposureView as Exposure, PlanView, RiskView } from "../../shared/api/client";
import { refusalOf } from "../../shared/api/edits";
import { useExposure } from "../../shared/api/risks";
import { FootAxis, SideAxis } from "../../shared/charts/axes";
import { ChartTable } from "../../shared/charts/ChartTable";
import { plotOf } from "../../shared/charts/plot";
import { dateTicks, roundTicks } from "../../shared/charts/roundTicks";
import { TakeOutMenu } from "../../shared/charts/TakeOutMenu";
import { civil, DAY_MS, formatDay } from "../../shared/format/dates";
import { formatMoney, formatOne, formatSigned } from "../../shared/format/numbers";
import { Choice } from "../../shared/ui/Choice";
import { Notice } from "../../shared/ui/Notice";
import { useHeight, useWidth } from "../../shared/ui/useSize";
import { exposureSentence, type Measure, valuesOf } from "./exposure";
import { isLive } from "./riskWords";

const Select = chakra("select");
const MARGINS = { left: 70, right: 24, top: 16, bottom: 34 };
const MEASURES = [
  { value: "days", label: "Days" },
  { value: "money", label: "Money" },
] as const;

/** How the exposure of the register, or of one risk, falls as actions are completed and dates pass. */
export function ExposureView({ plan, risks }: { plan: PlanView; risks: readonly RiskView[] }) {
  const { id, revision, currency } = plan.project;
  const [risk, setRisk] = useState("");
  const [measure, setMeasure] = useState<Measure>("days");
  const chart = useRef<HTMLDivElement>(null);
  const exposure = useExposure(id, revision, risk);
  if (exposure.isError) return <Notice alert>{refusalOf(exposure.error)}</Notice>;
  if (!exposure.data) return <Notice>Working out how the exposure falls…</Notice>;
  const format = (value: number) =>
    measure === "days"
      ? `${formatSigned(value, formatOne)} d`
      : `${value < 0 ? "−" : "+"}${formatMoney(Math.abs(value), currency)}`;
  const sentence = exposureSentence(exposure.data, measure, format);
  return (
    <Flex direction="column" height="100%" px="5" py="3">
      <Flex gap="4" align="flex-start">
        <Box flex="1" fontSize="19px" fontWeight="600" lineHeight="1.3" data-testid="exposure">
          {sentence}
        </Box>
        <TakeOutMenu
          chart={chart}
          name="exposure"
          title={sentence}
          tables={[
            {
              label: "The steps as a table (CSV)",
              href: `/api/projects/${id}/risks/exposure.csv?risk=${encodeURIComponent(risk)}`,
            },
          ]}
        />
      </Flex>
      <Flex gap="4" align="center" color="softInk" mb="1" wrap="wrap">
        <Select
          aria-label="Exposure of"
          bg="panel"
          borderWidth="1px"
          borderColor="line"
          px="1"
          maxW="22rem"
          value={risk}
          onChange={(event) => setRisk(event.target.value)}
        >
          <option value="">the whole register</option>
          {risks.filter(isLive).map((one) => (
            <option key={one.id} value={one.id}>
              {one.id} {one.title}
            </option>
          ))}
        </Select>
        <Choice label="Exposure in" choices={MEASURES} value={measure} onChange={setMeasure} />
        <Box>
          Filled: with what is decided, expected and at P{exposure.data.level}. Dashed: if every response were
          decided and done as planned.
        </Box>
      </Flex>
      <Box position="relative">
        <ChartTable
          caption="Exposure: what holds from each day on"
          columns={["From", "Expected", `P${exposure.data.level}`, "Because of"]}
          rows={valuesOf(exposure.data.decided, measure).map(({ from, expected, at, because }) => [
            formatDay(from),
            format(expected),
            format(at),
            because.join(", "),
          ])}
        />
      </Box>
      <Box ref={chart} flex="1" minH="200px">
        <Steps plan={plan} exposure={exposure.data} measure={measure} format={format} />
      </Box>
      <StepList exposure={exposure.data} measure={measure} risks={risks} format={format} />
    </Flex>
  );
}

interface StepsProps {
  plan: PlanView;
  exposure: Exposure;
  measure: Measure;
  format: (value: number) => string;
}

/** The steps on an axis of time: a filled stair for what is expected, a line for the level of confidence. */
function Steps({ plan, exposure, measure, format }: StepsProps) {
  const frame = useRef<HTMLDivElement>(null);
  const width = useWidth(frame);
  const height = useHeight(frame);
  const decided = valuesOf(exposure.decided, measure);
  const all = valuesOf(exposure.all, measure);
  const start = civil(plan.project.start);
  const end =
    Math.max(civil(plan.finish), ...[...decided, ...all].map(({ from }) => civil(from))) + 30 * DAY_MS;
  const values = [...decided, ...all].flatMap(({ expected, at }) => [expected, at]);
  const plot = plotOf(
    { min: start, max: end, low: Math.min(0, ...values), high: Math.max(1e-6, ...values) * 1.08 },
    width,
    height,
    MARGINS,
  );
  const stair = (steps: readonly { from: string; value: number }[]) =>
    steps
      .map(({ from, value }, i) => {
        const x = plot.x(Math.max(start, civil(from)));
        const next = steps[i + 1];
        const to = plot.x(next ? civil(next.from) : end);
        return `${i === 0 ? "M" : "L"}${x} ${plot.y(value)}L${to} ${plot.y(value)}`;
      })
      .join("");
  const of = (steps: ReturnType<typeof valuesOf>, which: "expected" | "at") =>
    steps.map((step) => ({ from: step.from, value: step[which] }));
  const today = exposure.today && plot.x(civil(exposure.today));
  return (
    <Box ref={frame} width="100%" height="100%">
      {width > 0 && height > 0 && (
        <svg width={width} height={height} fontSize="12" role="img" aria-label="Exposure over time">
          <SideAxis
            plot={plot}
            ticks={roundTicks(Math.min(0, ...values), Math.max(1e-6, ...values), 5).map((value) => ({
              value,
              label: format(value),
            }))}
          />
          <path
            d={`${stair(of(decided, "expected"))}L${plot.x(end)} ${plot.y(0)}L${plot.x(start)} ${plot.y(0)}Z`}
            fill="var(--chakra-colors-risk)"
            fillOpacity="0.2"
          />
          <path
            d={stair(of(decided, "expected"))}
            fill="none"
            stroke="var(--chakra-colors-risk)"
            strokeWidth="1.5"
          />
          <path
            d={stair(of(decided, "at"))}
            fill="none"
            stroke="var(--chakra-colors-risk)"
            strokeWidth="2.6"
          />
          <path
            d={stair(of(all, "at"))}
            fill="none"
            stroke="var(--chakra-colors-action)"
            strokeWidth="1.8"
            strokeDasharray="6 4"
          />
          {decided.slice(1).map(({ from, at, because }) => (
            <circle
              key={from}
              cx={plot.x(civil(from))}
              cy={plot.y(at)}
              r="3.5"
              fill="var(--chakra-colors-risk)"
            >
              <title>{`${formatDay(from)}: ${because.join(", ")}; from here ${format(at)}`}</title>
            </circle>
          ))}
          {today !== undefined && today !== "" && (
            <line
              x1={today}
              x2={today}
              y1={plot.top}
              y2={plot.bottom}
              stroke="var(--chakra-colors-ink)"
              strokeDasharray="2 3"
            />
          )}
          <FootAxis plot={plot} ticks={dateTicks(start, end, Math.max(2, Math.floor(width / 120)))} />
        </svg>
      )}
    </Box>
  );
}

interface ListProps {
  exposure: Exposure;
  measure: Measure;
  risks: readonly RiskView[];
  format: (value: number) => string;
}

/** What each of the steps is due to, the largest falls first. */
function StepList({ exposure, measure, risks, format }: ListProps) {
  const steps = valuesOf(exposure.decided, measure);
  const falls = steps
    .map((step, i) => ({ ...step, fall: (steps[i - 1]?.at ?? step.at) - step.at }))
    .filter(({ fall }) => Math.abs(fall) > 1e-9)
    .sort((a, b) => b.fall - a.fall)
    .slice(0, 4);
  const title = new Map(risks.map((risk) => [risk.id, risk.title]));
  return (
    <Box pt="2">
      {falls.map(({ from, fall, because }) => (
        <Box key={from}>
          <Box as="span" color="softInk">
            {formatDay(from)}
          </Box>{" "}
          {format(-fall)} as {because.map((id) => `${id} ${title.get(id) ?? ""}`.trim()).join(", ")}{" "}
          {because.length === 1 ? "passes or is answered" : "pass or are answered"}
        </Box>
      ))}
    </Box>
  );
}
