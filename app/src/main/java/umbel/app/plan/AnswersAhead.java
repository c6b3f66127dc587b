package umbel.app.plan;

import org.springframework.stereotype.Component;
import umbel.app.answer.KeptAnswers;
import umbel.app.reader.Reader;
import umbel.app.survey.SurveyEntry;
import umbel.text.Speech;

/** Works out what a tree's page asks for first, before anybody opens it. */
@Component
public class AnswersAhead {

    private final KeptAnswers kept;
    private final TreeDecisions decided;
    private final TreePageService pages;
    private final PlanService plans;

    AnswersAhead(KeptAnswers kept, TreeDecisions decided, TreePageService pages, PlanService plans) {
        this.kept = kept;
        this.decided = decided;
        this.pages = pages;
        this.plans = plans;
    }

    /**
     * Works out the page of a survey and its recommended plan, as its grower would be given them, in the languages and units people were
     * answered in. Nothing of a counted plant, whose page takes no time, and nothing where no more is kept ahead.
     */
    public void of(SurveyEntry survey) {
        if (survey.isCounted() || !kept.hasRoomAhead()) {
            return;
        }
        Decisions decisions = decided.on(survey.tree().id(), survey).decisions();
        for (Speech speech : kept.speeches()) {
            Reader.answering(speech, () -> {
                pages.shown(survey, decisions);
                return plans.firstPlan(survey, decisions);
            });
        }
    }
}
