package app.tychon.server.rights;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.Modifying;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

/** Who takes part in which project. */
public interface Memberships extends Repository<MembershipEntity, UUID> {
    /** What somebody is in a project; in a scenario's place, what they are in the project of which it is a scenario. */
    @Query("select m from MembershipEntity m where m.accountId = :account and m.projectId ="
            + " (select coalesce(p.scenarioOf, p.id) from ProjectEntity p where p.id = :project)")
    Optional<MembershipEntity> find(UUID project, UUID account);

    Optional<MembershipEntity> findByProjectIdAndAccountId(UUID project, UUID account);

    List<MembershipEntity> findAllByProjectIdOrderBySince(UUID project);

    List<MembershipEntity> findAllByAccountId(UUID account);

    long countByAccountIdAndRole(UUID account, Role role);

    long countByProjectIdAndRole(UUID project, Role role);

    void save(MembershipEntity membership);

    void delete(MembershipEntity membership);

    /** How many projects of a programme, or of that of which it is a scenario, somebody may not read. */
    @Query(
            value =
                    "select count(*) from programme_member p where p.programme_id ="
                            + " (select coalesce(s.scenario_of, s.id) from project s where s.id = :project)"
                            + " and not exists (select 1 from membership m where m.project_id = p.project_id and m.account_id = :account)",
            nativeQuery = true)
    long countHidden(UUID project, UUID account);

    /** Makes somebody owner of every project that nobody owns. */
    @Modifying
    @Query(
            value = "insert into membership (id, project_id, account_id, role, since)"
                    + " select uuid(), p.id, :account, 'OWNER', utc_timestamp(3) from project p where p.scenario_of is null"
                    + " and not exists (select 1 from membership m where m.project_id = p.id and m.role = 'OWNER')",
            nativeQuery = true)
    int takeOver(UUID account);
}
