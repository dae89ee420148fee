import type { Metadata } from "next";
import { headers } from "next/headers";
import { findComputersZone } from "@/time/wallClock";
import { AccessPage } from "@/ui/access/AccessPage";
import { getDoorkeeper, needsKey, readKey } from "./keys";

export const metadata: Metadata = { title: "Who may come in" };
export const dynamic = "force-dynamic";

/** Devices, programmes and passphrases: the owner's. */
export default async function Page() {
  const doorkeeper = getDoorkeeper();
  const asked = await headers();
  return (
    <AccessPage
      isGuarded={needsKey(process.env, asked.get("host"))}
      holders={doorkeeper.listHolders()}
      ownId={doorkeeper.findHolder(readKey(asked))?.id ?? null}
      rolesWithPassphrase={doorkeeper.listRoles()}
      timeZone={findComputersZone()}
    />
  );
}
