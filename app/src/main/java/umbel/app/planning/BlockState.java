package umbel.app.planning;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.time.Duration;
import java.util.HexFormat;
import java.util.Map;
import java.util.TreeMap;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;
import umbel.app.cache.ComputedCache;
import umbel.app.cache.ProgramDigest;

/**
 * What is known in a block, as a digest: another one as soon as anything is added, corrected or taken away on which the plans of its
 * trees may rest. Nothing that is kept is ever written over but blocks and holdings, which count their versions; so numbers and
 * counts of rows tell all the rest.
 */
@Component
class BlockState {

    private static final String ROWS = """
            select b.version as block_version, h.version as holding_version, trees.*, surveys.*, visits.*, pickings.*, crop_counts.*, measures.*
            from block b join holding h on h.id = b.holding_id,
              (select count(*) as trees from tree t where t.block_id = ? and t.archived = false) trees,
              (select count(*) as surveys, max(s.id) as last_survey, count(s.withdrawn_at) as withdrawn
                from survey s join tree t on t.id = s.tree_id where t.block_id = ?) surveys,
              (select count(*) as visits, max(r.id) as last_visit
                from work_record r join tree t on t.id = r.tree_id where t.block_id = ?) visits,
              (select count(*) as pickings, max(p.id) as last_picking from picking p where p.block_id = ?) pickings,
              (select count(*) as crop_counts, max(c.id) as last_count from crop_count c where c.block_id = ?) crop_counts,
              (select count(*) as measures, max(m.id) as last_measure
                from tree_measure m join tree t on t.id = m.tree_id where t.block_id = ?) measures
            where b.id = ?
            """;

    /** Trees of a block are planned one after the other: its state is not asked for each. */
    private static final Duration LATELY = Duration.ofSeconds(2);

    private final JdbcTemplate database;
    private final ProgramDigest program;
    private final ComputedCache<Long, String> seen = ComputedCache.freshFor(LATELY);

    BlockState(JdbcTemplate database, ProgramDigest program) {
        this.database = database;
        this.program = program;
    }

    /** The state of a block that is there, which whoever asks has looked at. */
    String of(long block) {
        Map<String, Object> rows = new TreeMap<>(String.CASE_INSENSITIVE_ORDER);
        rows.putAll(database.queryForMap(ROWS, block, block, block, block, block, block, block));
        return digest(rows.values().toString());
    }

    /**
     * The state of a block as it was at this moment or up to two seconds ago. What is worked out now and kept under an earlier state is
     * taken for out of date once too often, and never once too seldom.
     */
    String lately(long block) {
        return seen.get(block, () -> of(block));
    }

    /** Looks again before the two seconds are over. */
    void lookAgain() {
        seen.forget();
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
