import type { Metadata } from "next";
import { headers } from "next/headers";
import { EnterPage } from "@/ui/access/EnterPage";
import { getDoorkeeper, readKey, sayStartCode } from "../access/keys";
import { findWayBack } from "../access/wayBack";

export const metadata: Metadata = { title: "Come in" };
export const dynamic = "force-dynamic";

interface Props {
  readonly searchParams: Promise<Readonly<Record<string, string | string[] | undefined>>>;
}

/** Where a device comes in, for the first time of all or with a key. */
export default async function Page({ searchParams }: Props) {
  const { to, as, invite } = await searchParams;
  const doorkeeper = getDoorkeeper();
  const isUnset = doorkeeper.isUnset();
  // Started for itself alone, and asked from elsewhere all the same.
  if (isUnset && !doorkeeper.hasStartCode()) sayStartCode();
  return (
    <EnterPage
      to={findWayBack(to)}
      isUnset={isUnset}
      heldRole={doorkeeper.findHolder(readKey(await headers()))?.role ?? null}
      isTurnedDown={as !== undefined}
      invite={typeof invite === "string" ? invite : null}
    />
  );
}
