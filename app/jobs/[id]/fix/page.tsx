import { database, firmFaults } from "@/server";
import { FixPlace } from "@/ui/fix";

export default async function Page({ params }: { readonly params: Promise<{ readonly id: string }> }) {
  const { id } = await params;
  return <FixPlace firm={await firmFaults(await database(), id)} />;
}
