package umbel.app.planning;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;
import java.util.Map;
import java.util.TreeMap;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;
import umbel.app.cache.ProgramDigest;

/**
 * What is known in a block, as a digest: another one as soon as anything is added, corrected or taken away on which the plans of its
 * trees may rest. Nothing that is kept is ever written over but blocks and holdings, which count their versions; so numbers and
 * counts of rows tell all the rest.
 */
@Component
class BlockState {

    private static final String ROWS = """
            select b.version as block_version, h.version as holding_version,
              (select count(*) from tree t where t.block_id = b.id and t.archived = false) as trees,
              (select count(*) from survey s join tree t on t.id = s.tree_id where t.block_id = b.id) as surveys,
              (select max(s.id) from survey s join tree t on t.id = s.tree_id where t.block_id = b.id) as last_survey,
              (select count(s.withdrawn_at) from survey s join tree t on t.id = s.tree_id where t.block_id = b.id) as withdrawn,
              (select count(*) from work_record r join tree t on t.id = r.tree_id where t.block_id = b.id) as visits,
              (select max(r.id) from work_record r join tree t on t.id = r.tree_id where t.block_id = b.id) as last_visit,
              (select count(*) from picking p where p.block_id = b.id) as pickings,
              (select max(p.id) from picking p where p.block_id = b.id) as last_picking,
              (select count(*) from crop_count c where c.block_id = b.id) as crop_counts,
              (select max(c.id) from crop_count c where c.block_id = b.id) as last_count,
              (select count(*) from tree_measure m join tree t on t.id = m.tree_id where t.block_id = b.id) as measures,
              (select max(m.id) from tree_measure m join tree t on t.id = m.tree_id where t.block_id = b.id) as last_measure
            from block b join holding h on h.id = b.holding_id where b.id = ?
            """;

    private final JdbcTemplate database;
    private final ProgramDigest program;

    BlockState(JdbcTemplate database, ProgramDigest program) {
        this.database = database;
        this.program = program;
    }

    /** The state of a block that is there, which whoever asks has looked at. */
    String of(long block) {
        Map<String, Object> rows = new TreeMap<>(String.CASE_INSENSITIVE_ORDER);
        rows.putAll(database.queryForMap(ROWS, block));
        return digest(rows.values().toString());
    }

    /** The digest of what something rests on, for this version of the program. */
    String digest(String text) {
        try {
            return HexFormat.of()
                    .formatHex(MessageDigest.getInstance("SHA-256")
                            .digest((program.text() + text).getBytes(StandardCharsets.UTF_8)));
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException(e);
        }
    }
}
