package umbel.app.answer;

import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

/** Answers about the surveys of a farm that were given before. */
interface KeptAnswerRepository extends JpaRepository<KeptAnswer, Long> {

    Optional<KeptAnswer> findBySurveyIdAndKindAndLanguageAndUnits(
            long surveyId, String kind, String language, String units);

    /** In which language and units somebody was answered. */
    @Query("select distinct new umbel.app.answer.SpeechUsed(a.language, a.units) from KeptAnswer a")
    List<SpeechUsed> tellSpeeches();

    /** How much all of them take, characters. */
    @Query("select coalesce(sum(a.size), 0) from KeptAnswer a")
    long taken();

    /** The numbers and sizes of all, those first that nobody has asked for the longest. */
    @Query("select new umbel.app.answer.AnswerSize(a.id, a.size) from KeptAnswer a order by a.askedOn, a.id")
    List<AnswerSize> tellSizes();
}
