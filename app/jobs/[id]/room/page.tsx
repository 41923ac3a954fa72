import { RoomPlace } from "@/ui/room";

export default function Page() {
  return <RoomPlace />;
}
