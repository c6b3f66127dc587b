package umbel.planting;

import com.fasterxml.jackson.annotation.JsonProperty;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * Several kinds of trees wished for a house, as they are sent; what may be left out is null until {@link HouseholdCheck} has
 * completed it.
 *
 * @param latitudeDeg degrees, south negative
 * @param people who eat from it
 * @param kgPerPersonMonth fruit each wants in a month in which some is ripe
 * @param fence that the trees stand against; null where they stand free
 * @param trees the first ones first along the fence
 */
public record Household(
        @JsonProperty("latitude_deg") Double latitudeDeg,
        Integer people,
        Double kgPerPersonMonth,
        WishedFence fence,
        List<WishedTree> trees,
        Long seed) {

    /** A fence or wall, metres. */
    public record WishedFence(
            @JsonProperty("length_m") Double length,
            @JsonProperty("height_m") Double height) {}

    /**
     * Trees of one cultivar.
     *
     * @param ripens {@code early}, {@code middle} or {@code late} among its kind
     * @param blooms the same
     */
    public record WishedTree(String species, String system, String ripens, String blooms, Integer count) {

        When ripening() {
            return When.of(ripens).orElseThrow();
        }

        When blooming() {
            return When.of(blooms).orElseThrow();
        }
    }

    /** Where a cultivar stands among its kind. */
    enum When {
        EARLY,
        MIDDLE,
        LATE;

        String word() {
            return name().toLowerCase(Locale.ROOT);
        }

        static Optional<When> of(String word) {
            return Arrays.stream(values())
                    .filter(when -> when.word().equals(word))
                    .findFirst();
        }

        static List<String> words() {
            return Arrays.stream(values()).map(When::word).toList();
        }
    }
}
