package umbel.app.archive;

import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.regex.Pattern;
import umbel.app.photo.PhotoFiles;

/**
 * A farm as one file in open formats, a ZIP: {@code umbel-farm.json} tells what is in it, {@code tables} holds a file for every table with
 * a JSON object a line, {@code photos} the pictures, {@code records.csv} everything that was recorded, for reading only.
 */
final class FarmArchive {

    static final String FORMAT = "umbel-farm/1";
    static final String ABOUT = "umbel-farm.json";
    static final String RECORDS = "records.csv";
    static final Pattern TABLE_FILE = Pattern.compile("tables/([a-z_]{1,40})\\.jsonl");
    static final Pattern PHOTO_FILE = Pattern.compile(PhotoFiles.FOLDER + "/(" + PhotoFiles.FILE + ")");

    /** The column by which every row belongs to a farm. */
    static final String FARM = "farm_id";

    static final String ID = "id";

    /** What is for reading only, or worthless elsewhere: what was changed by whom, keys, invitations. */
    static final Set<String> STAYS = Set.of("audit_line", "access_key", "invitation");

    /** What is worked out anew. */
    static final Set<String> WORKED_OUT = Set.of("job", "job_part", "tree_plan", "schedule_again");

    /** References to what does not go with a farm: people keep their accounts to themselves. */
    static final Map<String, List<String>> LEFT_OUT = Map.of("person", List.of("account_id"));

    private FarmArchive() {}

    /** The file of a table. */
    static String file(String table) {
        return "tables/" + table + ".jsonl";
    }

    /**
     * What an archive holds.
     *
     * @param format {@value #FORMAT}
     * @param name what the farm is called
     * @param madeAt when it was made, ISO 8601
     * @param schema the version of the tables
     * @param rows how many there are in each table
     * @param photos how many pictures
     */
    record About(String format, String name, String madeAt, int schema, Map<String, Long> rows, int photos) {

        /** Rows and pictures in all. */
        int parts() {
            long all =
                    photos + rows.values().stream().mapToLong(Long::longValue).sum();
            return (int) Math.max(0, Math.min(all, Integer.MAX_VALUE));
        }
    }
}
