package umbel.app.settings;

import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * The address under which phones reach the program. It is set, never taken from a request: what a request says of the host can
 * be forged, and a label on a tree lasts for years.
 */
@Service
public class PublicAddress {

    private static final String NAME = "public-address";

    private final SettingRepository settings;

    PublicAddress(SettingRepository settings) {
        this.settings = settings;
    }

    /** The address without a slash at its end; empty until it is set. */
    @Transactional(readOnly = true)
    public Optional<String> get() {
        return settings.findById(NAME).map(Setting::content).filter(text -> !text.isEmpty());
    }

    @Transactional
    void set(String address) {
        settings.saveAndFlush(new Setting(NAME, address));
    }
}
