package umbel.app.plan;

import java.util.List;
import java.util.function.Function;
import umbel.aftercare.AfterTask;
import umbel.text.Statement;

/**
 * One thing to do after the last cut, as it is sent.
 *
 * @param kind wounds, bark, tools, diseased-prunings or prunings
 * @param toDo whether there is anything to do and to tick
 */
public record AfterLine(String kind, String text, boolean toDo) {

    /** Tasks as they are said. */
    public static List<AfterLine> of(List<AfterTask> tasks, Function<Statement, String> said) {
        return tasks.stream()
                .map(task -> new AfterLine(task.kind().word(), said.apply(task.what()), task.toDo()))
                .toList();
    }
}
