import { Workbench } from '../ui/Workbench';

export default function Page() {
  return <Workbench />;
}
