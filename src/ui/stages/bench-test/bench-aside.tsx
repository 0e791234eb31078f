import dynamic from 'next/dynamic';
import type { Payload } from '@/core/logbook';
import type { StageProps } from '../../job-store/stage-props';

// Seldom opened, and they bring readers of forms and tables along.
const moduleTest = () => import('./module-test/module-test').then((m) => m.ModuleTest);
const stageEditor = () => import('./stage-editor').then((m) => m.StageEditor);
const readingsFile = () => import('./readings-file').then((m) => m.ReadingsFile);
const ModuleTest = dynamic(moduleTest);
const StageEditor = dynamic(stageEditor);
const ReadingsFile = dynamic(readingsFile);

/** What is loaded once the bench is at rest. */
export const asideParts = [moduleTest, stageEditor, readingsFile];

/** What is opened in place of the probes for a while. */
export type Aside = 'stage' | 'module' | 'file';

/** The drive's stage, its module alone, or readings that come as a file. */
export function BenchAside({
  open,
  jobId,
  store,
  drive,
  locked,
  close,
}: Pick<StageProps, 'jobId' | 'store'> & {
  open: Aside;
  drive: Payload<'identify.drive'>;
  /** Why no reading may be kept; null: it may. */
  locked: string | null;
  close: () => void;
}) {
  if (open === 'module') return <ModuleTest store={store} close={close} />;
  if (open === 'stage')
    return (
      <StageEditor
        stage={drive.stage}
        strip={drive.strip}
        close={close}
        keep={(stage, strip) => {
          store.record('identify.stage', { stage, strip });
          close();
        }}
      />
    );
  return (
    <ReadingsFile
      jobId={jobId}
      stage={drive.stage}
      strip={drive.strip}
      readings={store.state.readings}
      locked={locked}
      keep={(given) => {
        for (const { red, black, value, typed } of given)
          store.record('static.reading', { red, black, value, typed });
      }}
      close={close}
    />
  );
}
