package app.tychon.server.scenarios;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import app.tychon.core.model.Plan;
import app.tychon.server.Demo;
import app.tychon.server.edits.Edit;
import app.tychon.server.edits.Edits;
import app.tychon.server.plan.LoadedPlan;
import app.tychon.server.plan.PlanStore;
import app.tychon.server.project.ProjectEntity;
import app.tychon.server.project.ProjectRepository;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.mockito.ArgumentCaptor;

class WorkplacesTest {
    private final ProjectRepository projects = mock(ProjectRepository.class);
    private final PlanStore plans = mock(PlanStore.class);
    private final Edits edits = mock(Edits.class);

    /** What is edited in a workplace between the plan's change and the following must not be laid over again. */
    @Test
    void aWorkplaceFollowsThePlanAsItIsOnceTheWorkplaceIsHeld() {
        UUID project = UUID.randomUUID();
        Plan old = Demo.plan();
        String scenario = old.scenarios().get(0).id();
        ProjectEntity place = new ProjectEntity(old.project(), UUID.randomUUID());
        place.becomeScenario(project, scenario, "Early hearing");
        when(projects.findByScenarioOfAndScenario(project, scenario)).thenReturn(Optional.of(place));
        when(projects.findById(place.id())).thenReturn(Optional.of(place));
        when(plans.find(project)).thenReturn(LoadedPlan.of(1, old));
        new Workplaces(projects, plans, edits).enter(project, scenario);

        ArgumentCaptor<Edit> following = ArgumentCaptor.forClass(Edit.class);
        verify(edits).note(any(), following.capture());
        Plan newer = old.withRisks(List.of());
        when(plans.find(project)).thenReturn(LoadedPlan.of(2, newer));
        assertThat(following.getValue().apply(old).plan().risks()).isEmpty();
    }
}
