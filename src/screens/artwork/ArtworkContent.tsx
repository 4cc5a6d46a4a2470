// One saved drawing: prepared anew at any size, checked against its vinyls, given out to the cutter, and on to an item.

import Button from '@mui/material/Button';
import { useQuery } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import type { CheckedArtworkView, PreparedFile } from '../../views/artwork';
import type { VinylView } from '../../views/shelf';
import { describeVerdict } from '../../wording/findings';
import { decodeText } from '../../core/artwork';
import { ApiError, callApi, wordsOf } from '../shared/api';
import { WithVinyls } from '../shared/MakeInPlace';
import { useSettings } from '../shared/settings';
import { useArchive } from '../shared/use-archive';
import { Working } from '../shared/Working';
import { ArtworkDesk } from './ArtworkDesk';
import { describeLayers, isSavable, toFacts } from './desk-facts';
import { openDesk, toSteps, useDesk } from './desk-state';
import { makeNameOf, toMaterials } from './layer-names';
import { usePrepared } from './use-prepared';
import { DraftNotice } from '../shared/DraftNotice';
import { Failure } from '../shared/Failure';
import { useDraft } from '../shared/use-draft';
import { enqueueSnackbar } from '../shared/snackbar';

export default function ArtworkContent({
  artwork,
  vinyls,
  more,
}: {
  artwork: CheckedArtworkView;
  vinyls: readonly VinylView[];
  /** Whether the shelf has others. */
  more: boolean;
}) {
  return (
    <WithVinyls initial={vinyls} more={more}>
      {(known) => <Artwork artwork={artwork} vinyls={known} />}
    </WithVinyls>
  );
}

type Props = { readonly artwork: CheckedArtworkView; readonly vinyls: readonly VinylView[] };

function Artwork({ artwork, vinyls }: Props) {
  const path = `/api/artwork/${artwork.id}`;
  const { archived, archive } = useArchive({
    path,
    archived: artwork.archived,
    told: 'Archived. Items that use it keep it.',
  });
  const edit = useArtworkEdit(artwork, vinyls);
  const { desk, file, checked, nameOf, failure, asking } = edit;
  return (
    <>
      <div className="page-head">
        <ArtworkVerdict edit={edit} archived={archived} />
        <div className="actions">
          <Button href={`${path}/original`}>Download the original</Button>
          <Button onClick={() => void archive(!archived)}>{archived ? 'Restore' : 'Archive'}</Button>
          {edit.changed ? (
            <Button variant="contained" disabled={!edit.savable} onClick={() => void edit.save()}>
              Save
            </Button>
          ) : (
            <Button variant="contained" href={`/items/new?artwork=${artwork.id}`}>
              Price an item with it
            </Button>
          )}
        </div>
      </div>
      <DraftNotice draft={edit.draft} />
      {failure && <Failure>{failure}</Failure>}
      <Working doing="Measuring" asking={asking} />
      <ArtworkDesk
        desk={desk}
        file={file}
        checked={checked}
        fetchText={edit.fetchText}
        vinyls={vinyls}
        nameOf={nameOf}
      />
    </>
  );
}

type VerdictProps = { readonly edit: ReturnType<typeof useArtworkEdit>; readonly archived: boolean };

function ArtworkVerdict({ edit: { saved, file, checked, nameOf }, archived }: VerdictProps) {
  const settings = useSettings();
  const summary = describeLayers(file.measurement.layers);
  return (
    <div>
      <h1 className="flat">
        {saved.name} {archived && <span className="tag">archived</span>}
      </h1>
      <p aria-live="polite" className="flat above-1 text-large">
        {checked ? describeVerdict(file.findings, summary, nameOf, settings) : `${summary}.`}
      </p>
    </div>
  );
}

/** The saved artwork on its desk: measured anew as it is changed, and saved. */
function useArtworkEdit(artwork: CheckedArtworkView, vinyls: readonly VinylView[]) {
  const settings = useSettings();
  const [saved, setSaved] = useState(artwork);
  const [failure, setFailure] = useState<string | null>(null);
  const desk = useDesk(openDesk(artwork));
  const { state } = desk;
  const path = `/api/artwork/${artwork.id}`;
  const original = useQuery({
    queryKey: ['original', artwork.id],
    queryFn: () => fetchOriginal(`${path}/original`),
    staleTime: Infinity,
    refetchOnMount: true,
  });
  const steps = toSteps(state);
  const materials = useMemo(
    () => toMaterials(state.vinylIds, vinyls, settings.shop.figures),
    [state.vinylIds, vinyls, settings.shop.figures],
  );
  const { prepared, problem, asking } = usePrepared(original.data ?? null, steps, materials);
  // Until the worker has answered, what was saved is shown: its figures stand, and its checks where they are known.
  const file: PreparedFile = prepared ?? { ...saved, ...(saved.checks ?? { findings: [], dots: {} }) };
  const before = useMemo(() => JSON.stringify(toSaved(openDesk(saved))), [saved]);
  const changed = JSON.stringify(toSaved(state)) !== before;
  const draft = useDraft({
    key: `artwork ${saved.id} ${saved.version}`,
    value: state,
    isChanged: changed,
    restore: desk.reset,
    restart: () => desk.reset(openDesk(saved)),
  });
  const save = async () => {
    setFailure(null);
    try {
      const fresh = await callApi<CheckedArtworkView>('PUT', path, {
        ...toFacts(state, steps, file.measurement.layers),
        version: saved.version,
      });
      setSaved(fresh);
      desk.reset(openDesk(fresh));
      enqueueSnackbar('Saved.');
    } catch (error) {
      setFailure(wordsOf(error));
    }
  };
  return {
    desk,
    saved,
    file,
    /** The checks are of what is shown. */
    checked: prepared !== null || (saved.checks !== null && !changed),
    fetchText: async () => original.data ?? (await original.refetch()).data ?? null,
    nameOf: makeNameOf(state.names),
    asking,
    failure: failure ?? problem ?? (original.isError ? UNFETCHED : null),
    draft,
    changed,
    savable: isSavable(state, steps, asking) && !problem,
    save,
  };
}

const UNFETCHED =
  'The original could not be fetched, so nothing can be checked or changed now. What was measured is still shown: reload the page to try again.';

async function fetchOriginal(path: string): Promise<string> {
  const response = await fetch(path);
  if (!response.ok) throw new ApiError('failed', 'The original could not be fetched.');
  return decodeText(new Uint8Array(await response.arrayBuffer()));
}

/** What saving sends, to tell whether anything has changed. */
const toSaved = ({ size, steps, names, vinylIds, name, licence }: ReturnType<typeof openDesk>) => ({
  steps: toSteps({ size, steps }),
  names: Object.entries(names).sort(),
  vinylIds: Object.entries(vinylIds)
    .filter(([, id]) => id !== null)
    .sort(),
  name,
  licence,
});
