package app.tychon.core.simulation.draws;

import app.tychon.core.model.Correlation;
import app.tychon.core.uncertainty.Cholesky;
import app.tychon.core.uncertainty.NearestCorrelation;
import app.tychon.core.uncertainty.RankCorrelation;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.Function;
import java.util.function.UnaryOperator;

/**
 * Which estimates move together, and how their draws come about. Correlations that share members are realised as one
 * matrix; pairs of which nothing is asked have 0. What is not possible as a whole is moved to the nearest that is.
 */
public final class Dependence {
    private final Map<String, Chances> chances = new HashMap<>();
    private final Map<String, double[][]> used = new HashMap<>();

    private final UnaryOperator<String> identity;

    private Dependence(UnaryOperator<String> identity) {
        this.identity = identity;
    }

    /**
     * @param identity by what the random numbers of something are drawn
     * @param streams the own stream of each member that is uncertain, nothing for others
     */
    public static Dependence of(
            List<Correlation> correlations,
            UnaryOperator<String> identity,
            Function<String, Optional<RandomStream>> streams) {
        Dependence dependence = new Dependence(identity);
        for (List<Correlation> joined : joined(correlations)) {
            if (joined.size() == 1 && joined.get(0).coefficient().orElse(-1) >= 0) {
                dependence.addGroup(joined.get(0), streams);
            } else {
                dependence.addMatrix(joined, streams);
            }
        }
        return dependence;
    }

    /** The correlations in lots that share members, directly or through others. */
    private static List<List<Correlation>> joined(List<Correlation> correlations) {
        List<List<Correlation>> lots = new ArrayList<>();
        List<Set<String>> members = new ArrayList<>();
        for (Correlation correlation : correlations) {
            List<Correlation> lot = new ArrayList<>(List.of(correlation));
            Set<String> all = new HashSet<>(correlation.members());
            for (int i = lots.size() - 1; i >= 0; i--) {
                if (!Collections.disjoint(members.get(i), correlation.members())) {
                    lot.addAll(lots.remove(i));
                    all.addAll(members.remove(i));
                }
            }
            lots.add(lot);
            members.add(all);
        }
        return lots;
    }

    private void addGroup(Correlation group, Function<String, Optional<RandomStream>> streams) {
        RandomStream common = RandomStream.of(RandomStream.Role.CORRELATION, identity.apply(group.id()));
        double normal = RankCorrelation.toNormal(group.coefficient().getAsDouble());
        for (String member : group.members()) {
            streams.apply(member).ifPresent(own -> chances.put(member, FactorChances.of(common, own, normal)));
        }
        int size = group.members().size();
        double[][] matrix = new double[size][size];
        for (int i = 0; i < size; i++) {
            for (int j = 0; j < size; j++) {
                matrix[i][j] = group.asked(i, j);
            }
        }
        used.put(group.id(), matrix);
    }

    private void addMatrix(List<Correlation> lot, Function<String, Optional<RandomStream>> streams) {
        Set<String> names = new TreeSet<>();
        lot.forEach(c -> names.addAll(c.members()));
        List<String> members = new ArrayList<>(names);
        Map<String, Integer> rows = new HashMap<>();
        for (int i = 0; i < members.size(); i++) {
            rows.put(members.get(i), i);
        }
        double[][] normals = asked(lot, rows);
        double[][] possible = NearestCorrelation.isPossible(normals) ? normals : NearestCorrelation.of(normals);
        for (Correlation correlation : lot) {
            used.put(correlation.id(), part(possible, correlation.members(), rows));
        }
        List<RandomStream> own = members.stream()
                .map(m -> streams.apply(m)
                        .orElseGet(() -> RandomStream.of(RandomStream.Role.CORRELATION, identity.apply(m))))
                .toList();
        MatrixChances.Mixture mixture = new MatrixChances.Mixture(
                own,
                Cholesky.lower(possible)
                        .orElseThrow(() -> new IllegalStateException("the nearest matrix is not possible")));
        for (String member : members) {
            if (streams.apply(member).isPresent()) {
                chances.put(member, new MatrixChances(mixture, rows.get(member)));
            }
        }
    }

    private static double[][] asked(List<Correlation> lot, Map<String, Integer> rows) {
        double[][] normals = new double[rows.size()][rows.size()];
        for (int i = 0; i < normals.length; i++) {
            normals[i][i] = 1;
        }
        for (Correlation correlation : lot) {
            for (int i = 0; i < correlation.members().size(); i++) {
                for (int j = 0; j < i; j++) {
                    int row = rows.get(correlation.members().get(i));
                    int column = rows.get(correlation.members().get(j));
                    normals[row][column] = RankCorrelation.toNormal(correlation.asked(i, j));
                    normals[column][row] = normals[row][column];
                }
            }
        }
        return normals;
    }

    private static double[][] part(double[][] normals, List<String> members, Map<String, Integer> rows) {
        double[][] ranks = new double[members.size()][members.size()];
        for (int i = 0; i < ranks.length; i++) {
            for (int j = 0; j < ranks.length; j++) {
                ranks[i][j] = i == j
                        ? 1
                        : RankCorrelation.ofNormal(normals[rows.get(members.get(i))][rows.get(members.get(j))]);
            }
        }
        return ranks;
    }

    /** Where the draws of a quantity come from. */
    public Chances of(String member, RandomStream own) {
        return chances.getOrDefault(member, own);
    }

    /** The rank correlations realised for a correlation, in the order of its members. */
    public double[][] used(String correlation) {
        return used.get(correlation);
    }
}
