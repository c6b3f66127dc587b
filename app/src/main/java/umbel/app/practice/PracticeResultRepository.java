package umbel.app.practice;

import java.util.List;
import java.util.Optional;
import org.springframework.data.jpa.repository.JpaRepository;

/** Results of practice, in the order they came. */
interface PracticeResultRepository extends JpaRepository<PracticeResult, Long> {

    List<PracticeResult> findByWhoOrderById(String who);

    List<PracticeResult> findAllByOrderById();

    Optional<PracticeResult> findFirstByWhoAndExerciseOrderByIdDesc(String who, String exercise);
}
