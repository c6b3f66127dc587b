package umbel.app.settings;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;

/** Something set once for the whole program. */
@Entity
class Setting {

    @Id
    private String name;

    private String content;

    protected Setting() {}

    Setting(String name, String content) {
        this.name = name;
        this.content = content;
    }

    String content() {
        return content;
    }
}
