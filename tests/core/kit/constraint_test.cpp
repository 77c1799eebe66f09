#include "core/kit/constraint.h"

#include <gtest/gtest.h>

namespace bslate {
namespace {

FrameRate framesPerSecond(int n) {
    return {Rational(n, 1)};
}

Condition is(SettingKey key, std::vector<SettingValue> values) {
    return {key, std::move(values), {}, {}};
}
Condition atLeast(SettingKey key, SettingValue value) {
    return {key, {}, std::move(value), {}};
}
Condition atMost(SettingKey key, SettingValue value) {
    return {key, {}, {}, std::move(value)};
}

Constraint rule(std::string id, std::vector<Condition> when, ConstraintKind kind,
                std::vector<Condition> then) {
    return {std::move(id), std::move(when), kind, std::move(then), "because", {}};
}

const auto kFastIsMute = rule("mute", {atLeast(SettingKey::Rate, framesPerSecond(100))},
                              ConstraintKind::Requires, {is(SettingKey::Sound, {"off"})});

TEST(Constraint, RequiresIsBrokenOnlyWhenItCertainlyIs) {
    Settings now;
    EXPECT_FALSE(isBroken(kFastIsMute, now)) << "nothing is known";
    now.set(SettingKey::Rate, framesPerSecond(120));
    EXPECT_FALSE(isBroken(kFastIsMute, now)) << "sound is not known";
    now.set(SettingKey::Sound, "on");
    EXPECT_TRUE(isBroken(kFastIsMute, now));
    now.set(SettingKey::Rate, FrameRate{Rational(60000, 1001)});
    EXPECT_FALSE(isBroken(kFastIsMute, now));
}

TEST(Constraint, ExcludesNeedsAllOfIt) {
    const auto both = rule("x", {}, ConstraintKind::Excludes,
                           {is(SettingKey::Gop, {"intra"}), atLeast(SettingKey::Ambient, 40.0)});
    Settings now;
    now.set(SettingKey::Gop, "intra");
    now.set(SettingKey::Ambient, 39.9);
    EXPECT_FALSE(isBroken(both, now));
    now.set(SettingKey::Ambient, 40.0);
    EXPECT_TRUE(isBroken(both, now)) << "ranges are closed";
}

TEST(Constraint, LimitsCompareRatesExactly) {
    const auto limit = rule("l", {}, ConstraintKind::Limits,
                            {atMost(SettingKey::Rate, FrameRate{Rational(60000, 1001)})});
    Settings now;
    now.set(SettingKey::Rate, FrameRate{Rational(60000, 1001)});
    EXPECT_FALSE(isBroken(limit, now));
    now.set(SettingKey::Rate, framesPerSecond(60));
    EXPECT_TRUE(isBroken(limit, now));
}

TEST(CheckConstraints, SoundListsPass) {
    EXPECT_TRUE(checkConstraints({}).ok());
    EXPECT_TRUE(
        checkConstraints({kFastIsMute,
                          rule("power", {atLeast(SettingKey::Rate, framesPerSecond(100))},
                               ConstraintKind::Requires, {is(SettingKey::Power, {"external"})}),
                          rule("proxy", {is(SettingKey::Proxy, {"on"})}, ConstraintKind::Limits,
                               {atMost(SettingKey::Rate, framesPerSecond(60))})})
            .ok());
}

struct Unsound {
    const char* name;
    std::vector<Constraint> list;
    const char* ids;
};

class UnsoundConstraints : public ::testing::TestWithParam<Unsound> {};

TEST_P(UnsoundConstraints, AreRefusedWithTheIdsInvolved) {
    const auto outcome = checkConstraints(GetParam().list);
    ASSERT_FALSE(outcome.ok());
    EXPECT_EQ(outcome.error().got, GetParam().ids);
}

const Unsound kUnsound[] = {
    {"OneAgainstItself",
     {rule("a", {is(SettingKey::Sound, {"on"})}, ConstraintKind::Requires,
           {is(SettingKey::Sound, {"off"})})},
     "a"},
    {"AChainThatEndsInItsOpposite",
     {rule("a", {atLeast(SettingKey::Rate, framesPerSecond(100))}, ConstraintKind::Requires,
           {is(SettingKey::Sound, {"off"})}),
      rule("b", {is(SettingKey::Sound, {"off"})}, ConstraintKind::Limits,
           {atMost(SettingKey::Rate, framesPerSecond(60))})},
     "a, b"},
    {"RequiredAndExcluded",
     {rule("a", {is(SettingKey::Codec, {"x"})}, ConstraintKind::Requires,
           {is(SettingKey::Power, {"external"})}),
      rule("b", {is(SettingKey::Codec, {"x"})}, ConstraintKind::Excludes,
           {is(SettingKey::Power, {"external"})})},
     "a, b"},
    {"EmptyRange",
     {rule("a", {}, ConstraintKind::Limits, {atLeast(SettingKey::Rating, 800.0)}),
      rule("b", {}, ConstraintKind::Limits, {atMost(SettingKey::Rating, 400.0)})},
     "a, b"},
    {"Circle",
     {rule("a", {is(SettingKey::Sound, {"on"})}, ConstraintKind::Requires,
           {is(SettingKey::Focus, {"on"})}),
      rule("b", {is(SettingKey::Focus, {"on"})}, ConstraintKind::Requires,
           {is(SettingKey::Proxy, {"on"})}),
      rule("c", {is(SettingKey::Proxy, {"on"})}, ConstraintKind::Requires,
           {is(SettingKey::Sound, {"on"})})},
     "a > b > c > a"},
};

INSTANTIATE_TEST_SUITE_P(All, UnsoundConstraints, ::testing::ValuesIn(kUnsound),
                         [](const auto& unsound) { return unsound.param.name; });

} // namespace
} // namespace bslate
