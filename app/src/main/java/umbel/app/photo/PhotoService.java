package umbel.app.photo;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Path;
import java.time.Clock;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;
import umbel.app.farm.FarmScope;
import umbel.app.http.NotFound;
import umbel.app.http.Refused;
import umbel.app.log.RecordRepository;
import umbel.app.log.WorkRecord;
import umbel.app.orchard.OrchardTree;
import umbel.app.orchard.TreeRepository;
import umbel.format.FieldError;
import umbel.survey.InvalidSurvey;
import umbel.text.Statement;
import umbel.text.Value;

/** Keeps photographs of trees: the same one sent twice is kept once, and a tree has only so many. */
@Service
class PhotoService {

    private static final int MOST_OF_A_TREE = 120;

    private final PhotoRepository photos;
    private final PhotoFiles files;
    private final TreeRepository trees;
    private final RecordRepository records;
    private final Clock clock;
    private final TransactionTemplate transactions;

    PhotoService(
            PhotoRepository photos,
            PhotoFiles files,
            TreeRepository trees,
            RecordRepository records,
            Clock clock,
            TransactionTemplate transactions) {
        this.photos = photos;
        this.files = files;
        this.trees = trees;
        this.records = records;
        this.clock = clock;
        this.transactions = transactions;
    }

    /**
     * A photograph as kept.
     *
     * @param fresh whether it was not there before
     */
    record Kept(TreePhoto photo, boolean fresh) {}

    /**
     * Keeps a photograph. One at a time: a large picture takes much memory.
     *
     * @throws Refused where it is no picture, where the tree has enough, or its id was used for another tree
     */
    synchronized Kept keep(long treeId, PhotoEntry entry, byte[] sent) {
        OrchardTree tree = tree(treeId);
        Optional<TreePhoto> before = photos.findByClientId(entry.clientId());
        if (before.isPresent()) {
            return sentBefore(treeId, before.get());
        }
        LocalDate today = LocalDate.now(clock.withZone(tree.block().holding().timeZone()));
        LocalDate takenOn = entry.takenOn() == null ? today : entry.takenOn();
        if (takenOn.isAfter(today)) {
            throw new InvalidSurvey(List.of(new FieldError(
                    "takenOn", Statement.of("problem.day-in-future").with("today", new Value.Day(today)))));
        }
        if (photos.countByTreeId(treeId) >= MOST_OF_A_TREE) {
            throw new Refused(
                    HttpStatus.CONFLICT,
                    Statement.of("problem.photos-enough").with("most", Value.count(MOST_OF_A_TREE)));
        }
        TreePhoto kept = photos.save(new TreePhoto(tree, takenOn, entry, files.keep(sent), clock.instant()));
        if (!files.has(kept.file())) {
            files.keep(sent); // the last photograph with the same picture was removed at this moment
        }
        return new Kept(kept, true);
    }

    private static Kept sentBefore(long treeId, TreePhoto before) {
        if (!before.tree().id().equals(treeId)) {
            throw new Refused(
                    HttpStatus.CONFLICT,
                    Statement.of("problem.photo-of-another-tree")
                            .with("tree", Value.name(before.tree().label())));
        }
        return new Kept(before, false);
    }

    /** A tree's photographs, newest first. */
    List<TreePhoto> of(long treeId) {
        tree(treeId);
        return photos.findByTreeIdOrderByTakenOnDescIdDesc(treeId);
    }

    /** The tree's recorded visits, by their sender's own id. */
    Map<String, Long> visits(long treeId) {
        Map<String, Long> visits = new HashMap<>();
        for (WorkRecord record : records.findByTreeIdOrderByDoneOnDescIdDesc(treeId)) {
            if (record.clientId() != null) {
                visits.put(record.clientId(), record.id());
            }
        }
        return visits;
    }

    /**
     * Where the picture of a tree's photograph lies.
     *
     * @throws NotFound also where its file was taken away
     */
    Path picture(long treeId, long id) {
        String file = photo(treeId, id).file();
        if (!files.has(file)) {
            throw new NotFound("photo", id);
        }
        return files.path(file);
    }

    /** Removes a photograph, and its picture where no other one is the same. */
    void remove(long treeId, long id) {
        String file = photo(treeId, id).file();
        transactions.executeWithoutResult(status -> photos.deleteById(id));
        if (!isNeeded(file)) {
            try {
                files.remove(file, () -> isNeeded(file));
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        }
    }

    private boolean isNeeded(String file) {
        return FarmScope.acrossFarms(() -> photos.existsByFile(file));
    }

    private TreePhoto photo(long treeId, long id) {
        return photos.findByIdAndTreeId(id, treeId).orElseThrow(() -> new NotFound("photo", id));
    }

    private OrchardTree tree(long id) {
        return trees.existing(id);
    }
}
