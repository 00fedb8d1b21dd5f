import { redirect } from 'next/navigation';

export default function WorkroomPage() {
  redirect('/workroom/machine');
}
