import { type ReactNode, useState } from "react";
import { useMe } from "../shared/api/people";
import { lazily } from "../shared/ui/lazily";
import { Notice } from "../shared/ui/Notice";

const DoorPage = lazily(() => import("../features/people/DoorPage"), "DoorPage");
const SignInAgain = lazily(() => import("../features/people/SignInAgain"), "SignInAgain");

/** Lets those through whom the server knows. Whoever was let in and is no longer signs in over the page, which stays as it is. */
export function Gate({ children }: { children: ReactNode }) {
  const me = useMe();
  const [wasIn, setWasIn] = useState(false);
  if (me.data?.signedIn && !wasIn) setWasIn(true);
  if (me.isPending) return null;
  if (me.isError && !me.data)
    return (
      <Notice alert retry={() => void me.refetch()}>
        {me.error.message}
      </Notice>
    );
  if (!me.data.signedIn && (!wasIn || me.data.alone))
    return <DoorPage alone={me.data.alone} singleSignOn={me.data.singleSignOn} />;
  return (
    <>
      {children}
      {!me.data.signedIn && <SignInAgain email={me.data.email ?? ""} />}
    </>
  );
}
