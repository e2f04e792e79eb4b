package org.wiseember.trial.kind;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import org.wiseember.core.label.Group;
import org.wiseember.core.label.Subject;
import org.wiseember.trial.onhand.Ask;

/**
 * What there is to say of a test before it is made: everything about it that is no calculation.
 *
 * <pre>{@code
 * Declaration.of("heat", "Heat and noise")
 *     .in(Group.BODY)
 *     .finds(HeatRun.class)
 *     .answers(Subject.NOISE)
 *     .being(Trait.WANTS_LOADS)
 *     .asks(DISTANCE)
 *     .how("Room and case before, then each load until the case no longer climbs.")
 *     .build();
 * }</pre>
 *
 * @param key short and stable, as kept with a run: {@code ac-drain}
 * @param words what it is called: {@code AC drain}
 * @param group the part of the verdict it is told with
 * @param finds what its runs are: a record that begins with the run as it is kept
 * @param answers the subjects of claims it may answer
 * @param traits what sets it apart
 * @param wattsName what the watts it is about are called on an axis
 * @param asks what it asks a tester for beside loads, in the order of its form
 * @param options what a command may be told of its runs
 * @param help how it is made
 * @param cannotByHand what it cannot tell by hand, said before it begins; empty where a plug meter
 *     tells all
 */
public record Declaration(
    String key,
    String words,
    Group group,
    Class<? extends TestRun> finds,
    Set<Subject> answers,
    Set<Trait> traits,
    String wattsName,
    List<Ask<?>> asks,
    List<RunOption> options,
    TestHelp help,
    String cannotByHand) {
  public Declaration {
    Objects.requireNonNull(group, "a test belongs to a part of the verdict");
    Objects.requireNonNull(finds, "a test finds something");
    answers = Set.copyOf(answers);
    traits = Set.copyOf(traits);
    asks = List.copyOf(asks);
    options = List.copyOf(options);
  }

  /** Begins one. */
  public static Written of(String key, String words) {
    return new Written(key, words);
  }

  /** A declaration while it is written. */
  public static final class Written {
    private final String key;
    private final String words;
    private final Set<Subject> answers = new LinkedHashSet<>();
    private final Set<Trait> traits = EnumSet.noneOf(Trait.class);
    private final List<Ask<?>> asks = new ArrayList<>();
    private final List<RunOption> options = new ArrayList<>();
    private final List<String> schools = new ArrayList<>();
    private Group group;
    private Class<? extends TestRun> finds;
    private String watts = "AC power";
    private List<String> how = List.of();
    private String written = "docs/method.md";
    private String cannotByHand = "";

    private Written(String key, String words) {
      this.key = key;
      this.words = words;
    }

    public Written in(Group part) {
      group = part;
      return this;
    }

    public Written finds(Class<? extends TestRun> run) {
      finds = run;
      return this;
    }

    public Written answers(Subject... subjects) {
      answers.addAll(List.of(subjects));
      return this;
    }

    public Written being(Trait... any) {
      traits.addAll(List.of(any));
      return this;
    }

    public Written watts(String name) {
      watts = name;
      return this;
    }

    public Written asks(Ask<?>... any) {
      asks.addAll(List.of(any));
      return this;
    }

    public Written options(RunOption... any) {
      options.addAll(List.of(any));
      return this;
    }

    /** The few things to do and to look out for, in order. */
    public Written how(String... sentences) {
      how = List.of(sentences);
      return this;
    }

    /** One more way in which testers differ, in its own words. */
    public Written school(String sentence) {
      schools.add(sentence);
      return this;
    }

    /** Where the method is written down, after this project's own page. */
    public Written after(String source) {
      written = written + "; " + source;
      return this;
    }

    public Written cannotByHand(String sentence) {
      cannotByHand = sentence;
      return this;
    }

    /** The declaration. */
    public Declaration build() {
      return new Declaration(
          key,
          words,
          group,
          finds,
          answers,
          traits,
          watts,
          asks,
          options,
          new TestHelp(how, schools, written),
          cannotByHand);
    }
  }
}
