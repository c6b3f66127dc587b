import { inFarm } from '../api/farm';

/** A plant as files of open formats. */
export function ExportLinks({
  id,
  title,
  files,
}: {
  id: number;
  title: string;
  files: readonly (readonly [file: string, words: string])[];
}) {
  return (
    <p className="px-5 py-3 text-[13.5px] text-muted">
      {title}{' '}
      {files.map(([file, words]) => (
        <a
          key={file}
          href={inFarm(`/api/trees/${id}/${file}`)}
          className="mr-3 font-semibold text-ink underline underline-offset-4"
        >
          {words}
        </a>
      ))}
    </p>
  );
}
