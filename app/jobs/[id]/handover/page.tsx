import { database, firmFaults } from "@/server";
import { HandoverPlace } from "@/ui/handover";

export default async function Page({ params }: { readonly params: Promise<{ readonly id: string }> }) {
  const { id } = await params;
  return <HandoverPlace firm={await firmFaults(await database(), id)} />;
}
