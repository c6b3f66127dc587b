package umbel.planting;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import umbel.field.FieldOutline;
import umbel.field.FieldRows;
import umbel.knowledge.Knowledge;
import umbel.knowledge.PlantingParameters;
import umbel.knowledge.TrainingSystem;
import umbel.planting.Materials.Material;

/** What is bought for two rows of a hundred metres with a tree every metre, counted by hand. */
class MaterialsTest {

    private static final PlantingParameters.Materials USUAL = new PlantingParameters.Materials(0.02, 0.05, 1, 2);
    private static final FieldRows TWO_ROWS = FieldRows.of(
            FieldOutline.of(
                    List.of(List.of(List.of(0.0, 0.0), List.of(8.0, 0.0), List.of(8.0, 100.0), List.of(0.0, 100.0)))),
            0,
            0,
            1,
            4);

    private static long of(List<Material> list, String code) {
        return list.stream()
                .filter(one -> one.code().equals(code))
                .mapToLong(Material::amount)
                .sum();
    }

    @Test
    void aTrellisTakesPostsAnchorsAndWire() {
        List<Material> list = Materials.of(TWO_ROWS, new TrainingSystem.Structure(4, 10.0, 0, 8, 0), USUAL);
        assertThat(TWO_ROWS.trees()).isEqualTo(200);
        assertThat(of(list, "trees")).isEqualTo(204);
        assertThat(of(list, "endPosts")).isEqualTo(4);
        assertThat(of(list, "posts")).as("every ten metres but at the ends").isEqualTo(18);
        assertThat(of(list, "anchors")).isEqualTo(4);
        assertThat(of(list, "wire")).isEqualTo(840);
        assertThat(of(list, "ties")).isEqualTo(1600);
        assertThat(of(list, "guards")).isEqualTo(200);
        assertThat(of(list, "dripLine")).isEqualTo(200);
        assertThat(list).extracting(Material::code).doesNotContain("stakes", "spreaders");
        assertThat(list).filteredOn(Material::metres).extracting(Material::code).containsExactly("wire", "dripLine");
    }

    @Test
    void aSystemThatStandsAloneTakesItsStakesAndNoWire() {
        List<Material> list = Materials.of(TWO_ROWS, new TrainingSystem.Structure(0, null, 1, 1, 4), USUAL);
        assertThat(list)
                .extracting(Material::code)
                .containsExactly("trees", "stakes", "ties", "spreaders", "guards", "dripLine");
        assertThat(of(list, "spreaders")).isEqualTo(800);
        assertThat(Materials.of(TWO_ROWS, null, USUAL))
                .extracting(Material::code)
                .containsExactly("trees", "guards", "dripLine");
    }

    static List<TrainingSystem> systems() {
        return Knowledge.shipped().allSystems();
    }

    /** Wires need posts, and a structure agrees with what the system says of its support. */
    @ParameterizedTest
    @MethodSource("systems")
    void everySystemSaysWhatCarriesIt(TrainingSystem system) {
        TrainingSystem.Structure structure = system.structure();
        assertThat(structure).isNotNull();
        assertThat(structure.wires() > 0).isEqualTo(system.support().contains("wire"));
        assertThat(structure.wires() > 0).isEqualTo(structure.postEveryM() != null);
    }
}
