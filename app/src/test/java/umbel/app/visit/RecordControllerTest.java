package umbel.app.visit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyLong;
import static org.mockito.ArgumentMatchers.argThat;
import static org.mockito.ArgumentMatchers.eq;
import static org.mockito.Mockito.doThrow;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.times;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.mockito.ArgumentCaptor;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.http.MediaType;
import org.springframework.test.util.ReflectionTestUtils;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.setup.MockMvcBuilders;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;
import umbel.app.http.Problems;
import umbel.app.log.RecordRepository;
import umbel.app.log.WorkRecord;
import umbel.app.orchard.Block;
import umbel.app.orchard.Holding;
import umbel.app.orchard.OrchardTree;
import umbel.app.orchard.TreeRepository;
import umbel.app.plan.TreeDecisions;
import umbel.app.survey.SurveyEntry;
import umbel.app.survey.SurveyRepository;
import umbel.practice.PracticeTree;
import umbel.survey.SurveyReader;

/** The record's own rules, with everything round it stood in for. */
class RecordControllerTest {

    private final RecordRepository records = mock(RecordRepository.class);
    private final TreeRepository trees = mock(TreeRepository.class);
    private final SurveyRepository surveys = mock(SurveyRepository.class);
    private final TreeDecisions decided = mock(TreeDecisions.class);
    private final FollowUpRepository followUps = mock(FollowUpRepository.class);
    private final List<Object> events = new ArrayList<>();
    private MockMvc web;

    @BeforeEach
    void oneSurveyedTree() {
        Block block = new Block(
                new Holding("Test", 47, 400),
                "North",
                "apple",
                "tall-spindle",
                "",
                "dwarfing",
                2022,
                10,
                1,
                3.5,
                0,
                "");
        OrchardTree tree = new OrchardTree(block, 1, 2);
        SurveyEntry survey = new SurveyEntry(
                tree,
                LocalDate.of(2026, 2, 1),
                SurveyReader.write(PracticeTree.survey("tall-spindle", 5, 7)),
                Instant.EPOCH);
        when(trees.findById(5L)).thenReturn(Optional.of(tree));
        when(trees.existing(anyLong())).thenCallRealMethod();
        when(records.saveAndFlush(any())).thenAnswer(call -> {
            WorkRecord saved = call.getArgument(0);
            ReflectionTestUtils.setField(saved, "id", 77L);
            return saved;
        });
        ReflectionTestUtils.setField(survey, "id", 3L);
        when(surveys.tellNewestOfTree(5L)).thenReturn(Optional.of(survey.line()));
        VisitService visits = new VisitService(
                records,
                trees,
                surveys,
                followUps,
                decided,
                Clock.systemUTC(),
                new TransactionTemplate(mock(PlatformTransactionManager.class)),
                events::add);
        web = MockMvcBuilders.standaloneSetup(new RecordController(records, trees, visits))
                .setControllerAdvice(new Problems())
                .build();
    }

    @Test
    void aSavedVisitEndsTheMarks() throws Exception {
        send(5, "as-planned", "", "  Ines  ").andExpect(status().isCreated());
        ArgumentCaptor<WorkRecord> saved = ArgumentCaptor.forClass(WorkRecord.class);
        verify(records).saveAndFlush(saved.capture());
        assertThat(saved.getValue().who()).as("stray blanks are dropped").isEqualTo("Ines");
        assertThat(saved.getValue().document()).contains("Remove limb 2");
        assertThat(saved.getValue().effectsDue()).as("worked out afterwards").isTrue();
        assertThat(events).contains(new VisitService.VisitSaved(77));
        verify(decided).settle(eq(5L), eq(3L), argThat(marks -> marks.size() == 1));
    }

    @Test
    void aSkippedStepWithoutAReasonIsNotSaved() throws Exception {
        send(5, "skipped", "", "Ines").andExpect(status().isBadRequest());
        verify(records, never()).saveAndFlush(any());
        verify(decided, never()).settle(anyLong(), anyLong(), any());
    }

    @Test
    void theSameVisitSentTwiceIsKeptOnce() throws Exception {
        WorkRecord first = mock(WorkRecord.class);
        when(first.id()).thenReturn(9L);
        OrchardTree tree = mock(OrchardTree.class);
        when(tree.id()).thenReturn(5L);
        when(first.tree()).thenReturn(tree);
        when(first.document()).thenReturn("[]");
        when(records.findByClientId("abc")).thenReturn(Optional.of(first));
        doThrow(new DataIntegrityViolationException("sent before"))
                .when(records)
                .saveAndFlush(any());
        String answer = web.perform(post("/api/trees/5/records")
                        .contentType(MediaType.APPLICATION_JSON)
                        .content("""
                        {"doneOn":"2026-03-01","who":"Ines","minutes":5,"clientId":"abc","steps":[
                        {"mark":{"operation":"remove","limb":"2"},"title":"x","outcome":"as-planned"}]}"""))
                .andExpect(status().isOk())
                .andReturn()
                .getResponse()
                .getContentAsString();
        assertThat(answer).contains("\"id\":9");
        verify(records, times(1)).saveAndFlush(any());
        verify(decided, never()).settle(anyLong(), anyLong(), any());
    }

    @Test
    void aTreeThatIsNotThereHasNoRecord() throws Exception {
        send(6, "as-planned", "", "Ines").andExpect(status().isNotFound());
        verify(records, never()).saveAndFlush(any());
    }

    private org.springframework.test.web.servlet.ResultActions send(
            long tree, String outcome, String reason, String who) throws Exception {
        String body = "{\"doneOn\":\"2026-03-01\",\"who\":\"" + who
                + "\",\"minutes\":5,\"note\":null,\"steps\":[{\"mark\":"
                + "{\"operation\":\"remove\",\"limb\":\"2\"},\"title\":\"Remove limb 2\",\"outcome\":\"" + outcome
                + "\",\"reason\":\"" + reason + "\"}]}";
        return web.perform(post("/api/trees/" + tree + "/records")
                .contentType(MediaType.APPLICATION_JSON)
                .content(body));
    }
}
