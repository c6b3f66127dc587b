package umbel.bench;

import java.util.List;
import java.util.Locale;
import java.util.stream.LongStream;
import umbel.assess.AssessRequest;
import umbel.assess.Assessor;
import umbel.knowledge.Knowledge;
import umbel.knowledge.School;
import umbel.practice.Fault;
import umbel.practice.PracticeTree;
import umbel.reading.BlockReading;
import umbel.reading.TreeReader;
import umbel.survey.Survey;
import umbel.wood.Tree;

/** How long a block of five hundred surveyed trees takes to read, half of them slender, half free-standing. */
final class BlockOfTrees {

    private static final int TREES = 500;

    private BlockOfTrees() {}

    static void measure() {
        List<Survey> surveys = LongStream.rangeClosed(1, TREES)
                .mapToObj(seed -> seed % 2 == 0
                        ? PracticeTree.survey("tall-spindle", 5, seed, Fault.WATER_SPROUTS)
                        : PracticeTree.survey("central-leader", 14, seed, Fault.STACKED_LIMBS))
                .toList();
        read(surveys.subList(0, 50));
        Runtime runtime = Runtime.getRuntime();
        long begun = System.nanoTime();
        BlockReading block = read(surveys);
        double seconds = (System.nanoTime() - begun) / 1e9;
        double megabytes = (runtime.totalMemory() - runtime.freeMemory()) / 1e6;
        System.out.printf(
                Locale.ROOT,
                "%-58s %5.1f s    aim 15 s (heap in use at the end %.0f MB)%n",
                "a block of " + block.trees() + " trees read",
                seconds,
                megabytes);
    }

    private static BlockReading read(List<Survey> surveys) {
        Assessor assessor = new Assessor(Knowledge.shipped());
        School school = Knowledge.shipped().school("classic");
        Knowledge knowledge = Knowledge.shipped();
        return BlockReading.of(
                surveys.parallelStream()
                        .map(survey -> {
                            Tree tree = assessor.tree(AssessRequest.of(survey));
                            return BlockReading.TreeRead.of(0, "", tree, TreeReader.read(tree, school, 2.4));
                        })
                        .toList(),
                knowledge.parameters().reading().block());
    }
}
