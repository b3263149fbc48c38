import { type ComponentType, lazy, type ReactNode, Suspense } from "react";

/** A component that is loaded when it is first shown, with what stands there meanwhile. */
export function lazily<N extends string, P extends object>(
  load: () => Promise<Record<N, ComponentType<P>>>,
  name: N,
  meanwhile: ReactNode = null,
): ComponentType<P> {
  const Loaded = lazy(async () => ({ default: (await load())[name] })) as unknown as ComponentType<P>;
  return function Lazily(props: P) {
    return (
      <Suspense fallback={meanwhile}>
        <Loaded {...props} />
      </Suspense>
    );
  };
}
