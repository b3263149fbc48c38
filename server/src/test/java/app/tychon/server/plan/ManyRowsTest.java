package app.tychon.server.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.Mockito.mock;

import app.tychon.core.RandomPlans;
import app.tychon.core.model.Plan;
import app.tychon.core.model.Sections;
import app.tychon.server.TestDatabase;
import app.tychon.server.project.ProjectRepository;
import app.tychon.server.rights.Rights;
import jakarta.persistence.EntityManagerFactory;
import java.util.UUID;
import org.hibernate.SessionFactory;
import org.hibernate.stat.Statistics;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.test.context.DynamicPropertyRegistry;
import org.springframework.test.context.DynamicPropertySource;
import org.springframework.transaction.support.TransactionTemplate;

/** A plan of thousands of rows goes in by batches and comes out by a handful of queries. */
@SpringBootTest(properties = "spring.jpa.properties.hibernate.generate_statistics=true")
class ManyRowsTest {
    private static final int ACTIVITIES = 3000;

    @Autowired
    private PlanStore plans;

    @Autowired
    private ProjectRepository projects;

    @Autowired
    private PlanRecords records;

    @Autowired
    private PlanTables tables;

    @Autowired
    private TransactionTemplate transaction;

    @Autowired
    private EntityManagerFactory entities;

    private Statistics statistics;

    @DynamicPropertySource
    static void database(DynamicPropertyRegistry registry) {
        TestDatabase.use(registry);
    }

    @BeforeEach
    void count() {
        statistics = entities.unwrap(SessionFactory.class).getStatistics();
        statistics.clear();
    }

    @Test
    void storingTakesBatchesAndLoadingAQueryATable() {
        Plan plan = RandomPlans.manyCalendars(4, ACTIVITIES);
        UUID id = plans.insert(plan);
        assertThat(statistics.getEntityInsertCount()).isGreaterThan(2L * ACTIVITIES);
        assertThat(statistics.getPrepareStatementCount())
                .as("statements to store")
                .isLessThan(40);

        statistics.clear();
        PlanStore cold = new PlanStore(projects, records, tables, mock(Rights.class));
        Plan loaded = transaction.execute(status -> cold.find(id).plan());
        assertThat(loaded).isEqualTo(plan);
        assertThat(statistics.getPrepareStatementCount())
                .as("queries to load: one a table, and the revision")
                .isLessThanOrEqualTo(Sections.ALL.size() + 1L);

        statistics.clear();
        assertThat(plans.find(id).plan()).isEqualTo(plan);
        assertThat(plans.find(id)).as("kept warm").isSameAs(plans.find(id));
    }
}
