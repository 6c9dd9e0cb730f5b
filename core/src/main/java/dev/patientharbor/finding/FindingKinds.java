package dev.patientharbor.finding;

import static dev.patientharbor.finding.FindingKind.error;
import static dev.patientharbor.finding.FindingKind.inSpiteOfAll;
import static dev.patientharbor.finding.FindingKind.note;
import static dev.patientharbor.finding.FindingKind.warning;

import dev.patientharbor.texts.RequiredArgument;
import java.util.List;

/**
 * The table of all kinds of findings. Programs rely on the ids: a line may be added, never renamed.
 */
public final class FindingKinds {

    // the profile file as a text
    public static final FindingKind MALFORMED_FILE =
            error(
                    "malformed-file",
                    "The file is not a profile file, or a part of it has the wrong shape");
    public static final FindingKind UNKNOWN_WORD =
            error("unknown-word", "A key that the notation does not know");
    public static final FindingKind REPEATED_KEY =
            error("repeated-key", "The same key twice in one place");

    public static final FindingKind INCLUDE_MISSING =
            error("include-missing", "An included file that cannot be read");
    public static final FindingKind INCLUDE_CYCLE =
            error("include-cycle", "Files that include each other in a circle");
    public static final FindingKind DEFINED_TWICE =
            error("defined-twice", "A profile, area or consumer that two files define");

    // what is read and what is checked
    public static final FindingKind CODE_MISSING =
            error("code-missing", "Compiled code that is listed and not there");
    public static final FindingKind UNREADABLE_CLASS =
            warning("unreadable-class", "A class file that cannot be read");
    public static final FindingKind ANSWER_IN_DOUBT =
            error("answer-in-doubt", "An answer that depends on a file which cannot be read");
    public static final FindingKind NOTHING_TO_CHECK =
            error(
                    "nothing-to-check",
                    "No profile, no entry consumer or no code: nothing would be checked");
    public static final FindingKind UNKNOWN_ENTRY =
            error("unknown-entry", "An entry consumer or pattern that no class answers to");

    public static final FindingKind LOOKUP_UNSEEN =
            warning("lookup-unseen", "A lookup method that nothing calls with constants");
    public static final FindingKind HANDLER_UNFIT =
            error("handler-unfit", "A handler that is no method, or has no such parameter");

    // profiles among themselves
    public static final FindingKind UNKNOWN_PROFILE =
            error("unknown-profile", "A profile that extends one which does not exist");
    public static final FindingKind EXTENDS_CYCLE =
            error("extends-cycle", "Profiles that extend each other in a circle");
    public static final FindingKind PARENTS_DISAGREE =
            error(
                    "parents-disagree",
                    "Two parents that say different things, and no word from the child");

    public static final FindingKind UNKNOWN_AREA =
            error("unknown-area", "An area that is not declared, or that encloses itself");
    public static final FindingKind AREAS_OVERLAP =
            error("areas-overlap", "A class in two areas of which neither encloses the other");

    // one binding
    public static final FindingKind UNKNOWN_CLASS =
            error("unknown-class", "A class name that nothing on the code path answers to");
    public static final FindingKind TEST_CODE =
            error("test-code", "A class of the tests in a profile that is not a tests' profile");
    public static final FindingKind AMBIGUOUS_NAME =
            error("ambiguous-name", "A short class name that fits several classes");
    public static final FindingKind KEY_UNKNOWN =
            error("key-unknown", "A reference to a slot that is not bound");
    public static final FindingKind TWO_CANDIDATES =
            error("two-candidates", "One implementation wanted, two or more found");
    public static final FindingKind DOES_NOT_FIT =
            error("does-not-fit", "An implementation that is none of its contract");
    public static final FindingKind CANNOT_BE_BUILT =
            error("cannot-be-built", "A class of which no object can be made");
    public static final FindingKind MISSING_METHOD =
            error("missing-method", "An implementation without a method of its contract");
    public static final FindingKind WHICH_CONSTRUCTOR =
            error("which-constructor", "Several constructors, and nothing says which");
    public static final FindingKind ANSWER_UNFIT =
            error("answer-unfit", "A canned answer that the contract cannot take");
    public static final FindingKind UNANSWERED_CALL =
            warning("unanswered-call", "A call that a stand-in cannot answer");
    public static final FindingKind KEY_UNSTATED =
            error("key-unstated", "A class that does not state its key by a constant");
    public static final FindingKind NOTHING_TO_CHANGE =
            error("nothing-to-change", "A change of a binding that is not inherited");
    public static final FindingKind LIMITS_NOTHING =
            error("limits-nothing", "A limit of reach for what is no need of the consumer");
    public static final FindingKind UNUSED_BINDING =
            warning("unused-binding", "A binding that no entry consumer reaches");
    public static final FindingKind SAYS_NOTHING_NEW =
            warning("says-nothing-new", "A word of a child that it inherits anyway");

    // decorators
    public static final FindingKind NOT_A_DECORATOR =
            error("not-a-decorator", "A decorator without exactly one place for what it wraps");
    public static final FindingKind WRAPS_NOTHING =
            warning("wraps-nothing", "Decorators around nothing");
    public static final FindingKind DROPS_NOTHING =
            warning("drops-nothing", "A decorator is dropped that is not there");

    // the graph of one profile
    public static final FindingKind UNMET_NEED =
            error("unmet-need", "A need that nothing supplies");
    public static final FindingKind EMPTY_COLLECTION =
            error("empty-collection", "Every variant is wanted, and there is none");
    public static final FindingKind KEY_UNFIT =
            warning("key-unfit", "A variant that a map leaves out: its key is none of the map's");
    public static final FindingKind CONSTANT_UNBOUND =
            warning("constant-unbound", "A constant of an enum for which a map has no member");
    public static final FindingKind VALUE_MISSING =
            error("value-missing", "A parameter of a value type without a value");
    public static final FindingKind VALUE_UNFIT =
            error("value-unfit", "A value that does not convert to its type, or has no parameter");
    public static final FindingKind CYCLE =
            error("cycle", "Objects that need each other in a circle");

    // which one, and how long it lives
    public static final FindingKind HIDDEN_BY_NARROWER =
            warning("hidden-by-narrower", "A binding that does not reach everyone it seems to");
    public static final FindingKind OUTLIVES =
            inSpiteOfAll("outlives", "A shared object that holds one made to live less long");
    public static final FindingKind SCOPE_UNMAPPED =
            warning("scope-unmapped", "A scope mark for which the file has no lifetime");
    public static final FindingKind POINTLESS_MARK =
            warning("pointless-mark", "A mark that says what fills a slot, on an interface");
    public static final FindingKind MARK_UNFIT =
            warning("mark-unfit", "A mark of the open standard where it cannot be meant so");
    public static final FindingKind TWO_KINDS =
            warning(
                    "two-kinds",
                    "The same class called real in one place and a stand-in in another");
    public static final FindingKind SHARED_TWICE =
            note("shared-twice", "One class in two slots: two instances");
    public static final FindingKind MADE_TWO_WAYS =
            warning(
                    "made-two-ways",
                    "One object by its mark, which two slots would make otherwise");
    public static final FindingKind CANNOT_SWAP =
            note("cannot-swap", "A consumer that asks for a class, not for a contract");
    public static final FindingKind HARD_WIRED =
            warning("hard-wired", "A consumer that makes or fetches an implementation by itself");
    public static final FindingKind SHARED_STATE =
            warning(
                    "shared-state",
                    "A consumer uses one object for the whole program, whose state changes");
    public static final FindingKind MOCK_OF_CLASS =
            note("mock-of-class", "A mock of a class, which needs somebody who makes such mocks");
    public static final FindingKind OVERDUE =
            warning("overdue", "A binding or a suppression whose last day is over");
    public static final FindingKind SUPPRESSES_NOTHING =
            warning("suppresses-nothing", "A suppression of what is not found");

    // what a real build shows, where one is asked for
    public static final FindingKind BUILD_FAILED =
            inSpiteOfAll("build-failed", "An object that cannot be made");

    // what was accepted, where somebody asks for it
    public static final FindingKind ROSTER_CHANGED =
            inSpiteOfAll("roster-changed", "An answer that is not as it was accepted");

    public static final FindingKind WIRED_OTHERWISE =
            inSpiteOfAll("wired-otherwise", "A need that hand wiring meets with something else");

    // what a profile demands and expects
    public static final FindingKind RULE_BROKEN =
            error("rule-broken", "A rule of the profile that does not hold");
    public static final FindingKind RULE_LOOSENED =
            note("rule-loosened", "A rule of a parent that a profile need not keep, and why");
    public static final FindingKind BROKEN_EXPECTATION =
            error("broken-expectation", "A consumer that does not receive what is expected");

    private FindingKinds() {}

    /** Returns whether findings of a kind are told only where somebody asks for them. */
    public static boolean isOnDemand(String id) {
        RequiredArgument.of(id, "id");
        return BUILD_FAILED.id().equals(id)
                || ROSTER_CHANGED.id().equals(id)
                || WIRED_OTHERWISE.id().equals(id);
    }

    /** Returns every kind, in the order of the reference page. */
    public static List<FindingKind> all() {
        return List.of(
                MALFORMED_FILE,
                UNKNOWN_WORD,
                REPEATED_KEY,
                INCLUDE_MISSING,
                INCLUDE_CYCLE,
                DEFINED_TWICE,
                CODE_MISSING,
                UNREADABLE_CLASS,
                ANSWER_IN_DOUBT,
                NOTHING_TO_CHECK,
                UNKNOWN_ENTRY,
                LOOKUP_UNSEEN,
                HANDLER_UNFIT,
                UNKNOWN_PROFILE,
                EXTENDS_CYCLE,
                PARENTS_DISAGREE,
                UNKNOWN_AREA,
                AREAS_OVERLAP,
                UNKNOWN_CLASS,
                TEST_CODE,
                AMBIGUOUS_NAME,
                KEY_UNKNOWN,
                TWO_CANDIDATES,
                DOES_NOT_FIT,
                CANNOT_BE_BUILT,
                MISSING_METHOD,
                WHICH_CONSTRUCTOR,
                ANSWER_UNFIT,
                UNANSWERED_CALL,
                KEY_UNSTATED,
                NOTHING_TO_CHANGE,
                LIMITS_NOTHING,
                UNUSED_BINDING,
                SAYS_NOTHING_NEW,
                NOT_A_DECORATOR,
                WRAPS_NOTHING,
                DROPS_NOTHING,
                UNMET_NEED,
                EMPTY_COLLECTION,
                KEY_UNFIT,
                CONSTANT_UNBOUND,
                VALUE_MISSING,
                VALUE_UNFIT,
                CYCLE,
                HIDDEN_BY_NARROWER,
                OUTLIVES,
                SCOPE_UNMAPPED,
                POINTLESS_MARK,
                MARK_UNFIT,
                TWO_KINDS,
                SHARED_TWICE,
                MADE_TWO_WAYS,
                CANNOT_SWAP,
                HARD_WIRED,
                SHARED_STATE,
                MOCK_OF_CLASS,
                OVERDUE,
                SUPPRESSES_NOTHING,
                BUILD_FAILED,
                ROSTER_CHANGED,
                WIRED_OTHERWISE,
                RULE_BROKEN,
                RULE_LOOSENED,
                BROKEN_EXPECTATION);
    }
}
