package umbel.app.photo;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.ManyToOne;
import jakarta.persistence.Table;
import java.time.Instant;
import java.time.LocalDate;
import umbel.app.farm.OfOneFarm;
import umbel.app.orchard.OrchardTree;

/** A photograph of a tree, as it was sent; its picture is a file of its own. */
@Entity
@Table(name = "tree_photo")
class TreePhoto extends OfOneFarm {

    @Id
    @GeneratedValue(strategy = GenerationType.IDENTITY)
    private Long id;

    @ManyToOne(optional = false)
    private OrchardTree tree;

    private LocalDate takenOn;
    private String atMoment;
    private String visit;
    private String who;
    private String file;
    private int width;
    private int height;
    private String clientId;
    private Instant savedAt;

    protected TreePhoto() {}

    TreePhoto(OrchardTree tree, LocalDate takenOn, PhotoEntry entry, PhotoFiles.Picture picture, Instant savedAt) {
        this.tree = tree;
        this.takenOn = takenOn;
        this.atMoment = entry.moment();
        this.visit = entry.visit();
        this.who = entry.who().strip();
        this.file = picture.file();
        this.width = picture.width();
        this.height = picture.height();
        this.clientId = entry.clientId();
        this.savedAt = savedAt;
    }

    Long id() {
        return id;
    }

    OrchardTree tree() {
        return tree;
    }

    LocalDate takenOn() {
        return takenOn;
    }

    /** {@code before} or {@code after} work, or {@code seen} where it belongs to none. */
    String moment() {
        return atMoment;
    }

    /** The sender's own id of the visit it was taken on; null where it was taken on none. */
    String visit() {
        return visit;
    }

    String who() {
        return who;
    }

    /** The name of its file, as {@link PhotoFiles} gave it. */
    String file() {
        return file;
    }

    int width() {
        return width;
    }

    int height() {
        return height;
    }
}
