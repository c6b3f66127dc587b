package umbel.app.plan;

import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;
import umbel.app.answer.KeptAnswers;
import umbel.app.reader.Reader;
import umbel.app.survey.SurveyEntry;
import umbel.text.Speech;

/** Works out what a tree's page asks for first, before anybody opens it. */
@Component
public class AnswersAhead {

    private static final Logger LOG = LoggerFactory.getLogger(AnswersAhead.class);

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
     * answered in. Nothing of a counted plant, whose page takes no time, and nothing where no more is kept ahead. What cannot be answered is
     * left: whoever opens the tree is told why.
     */
    public void of(SurveyEntry survey) {
        if (survey.isCounted() || !kept.hasRoomAhead()) {
            return;
        }
        try {
            Decisions decisions = decided.on(survey.tree().id(), survey).decisions();
            for (Speech speech : kept.speeches()) {
                Reader.answering(speech, () -> {
                    pages.shown(survey, decisions);
                    return plans.firstPlan(survey, decisions);
                });
            }
        } catch (RuntimeException e) {
            LOG.warn("Survey {} could not be answered ahead.", survey.id(), e);
        }
    }
}
