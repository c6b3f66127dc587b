package umbel.app.photo;

import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Pattern;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;

/**
 * What is said about a photograph that is sent.
 *
 * @param clientId the sender's own id of it; the same one sent again is kept once
 * @param takenOn its day; null takes today at the holding
 * @param moment before or after the work, or seen where it belongs to none
 * @param visit the sender's own id of the visit it was taken on; null where it was taken on none
 */
public record PhotoEntry(
        @NotBlank @Size(max = 40) String clientId,
        LocalDate takenOn,
        @NotNull @Pattern(regexp = "before|after|seen") String moment,
        @NotBlank @Size(max = 120) String who,
        @Size(max = 40) String visit) {}
