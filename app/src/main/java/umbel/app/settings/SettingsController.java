package umbel.app.settings;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Pattern;
import jakarta.validation.constraints.Size;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** What is set for the whole program. */
@RestController
@RequestMapping("/api/settings")
class SettingsController {

    private final PublicAddress address;

    SettingsController(PublicAddress address) {
        this.address = address;
    }

    /** The address under which phones reach the program; empty until it is set. */
    public record AddressEntry(
            @NotNull
            @Size(max = 200)
            @Pattern(regexp = "|https?://[A-Za-z0-9.\\[\\]:-]+", message = "problem.bad-address")
            String address) {}

    /** The address that stands on labels. */
    @GetMapping("/public-address")
    AddressEntry address() {
        return new AddressEntry(address.get().orElse(""));
    }

    /** Sets it. */
    @PutMapping("/public-address")
    AddressEntry set(@RequestBody @Valid AddressEntry entry) {
        address.set(entry.address());
        return address();
    }
}
