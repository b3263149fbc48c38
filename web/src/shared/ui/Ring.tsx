import { chakra } from "@chakra-ui/react";

const Svg = chakra("svg");
const SIZE = 15;
const RADIUS = 5.25;
const AROUND = 2 * Math.PI * RADIUS;

/** A share as a ring that fills. */
export function Ring({ share }: { share: number }) {
  const middle = SIZE / 2;
  return (
    <Svg width={SIZE} height={SIZE} color="simulated" flexShrink="0" aria-hidden="true">
      <circle
        cx={middle}
        cy={middle}
        r={RADIUS}
        fill="none"
        stroke="currentColor"
        strokeOpacity="0.25"
        strokeWidth="3"
      />
      <circle
        cx={middle}
        cy={middle}
        r={RADIUS}
        fill="none"
        stroke="currentColor"
        strokeWidth="3"
        strokeDasharray={`${share * AROUND} ${AROUND}`}
        transform={`rotate(-90 ${middle} ${middle})`}
      />
    </Svg>
  );
}
