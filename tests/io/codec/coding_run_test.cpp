// The real encoder in its helper: what it costs and keeps, what it cannot do, and being stopped.
#include "core/facts/evaluate.h"
#include "io/codec/coding_run.h"
#include "io/json/shoot_json.h"
#include "io/wire/coding_messages.h"

#include <gtest/gtest.h>

namespace bslate::io {
namespace {

struct Scene {
    Shoot shoot = *loadShoot(BSLATE_ROOT "/data/demo/slack-water.bslate");
    SetupContext context;
    Evaluation at;
    FrameWish wish;

    explicit Scene(const char* number) {
        for (const auto& setup : shoot.setups)
            if (setup.number == number)
                context = *resolve(shoot, setup);
        at = evaluate(context);
        wish.size = {480, 270};
    }
};

TEST(CodeScene, IntraKeepsItsRateAndTheCurveUnderIt) {
    Scene scene("2A");
    const auto coded = codeScene(scene.context, scene.at, scene.wish);
    ASSERT_TRUE(coded && *coded) << message(coded.error());
    EXPECT_EQ((*coded)->standard, "mezzanine codec");
    ASSERT_EQ((*coded)->sizes.size(), 4u);
    // 240 Mb/s of UHD at 24 is 19 531 bytes for a 64th of its pixels.
    for (const auto size : (*coded)->sizes) {
        EXPECT_LT(size.value(), 19531 * 1.1);
        EXPECT_GT(size.value(), 19531 * 0.6) << "such a codec stays under it";
    }
    const auto plain = makeFrame(scene.context, scene.at, scene.wish);
    const auto frame = withCoded(scene.context, scene.at, plain, scene.wish, **coded);
    ASSERT_TRUE(frame.coded);
    EXPECT_NEAR(frame.coded->rate.value(), (*coded)->sizes[0].value() / 19531 * 240e6, 10e6)
        << "as the whole mode has it";
    ASSERT_TRUE(frame.coded->noiseKept);
    EXPECT_GT(frame.coded->noiseKept->value(), 0.2);
    EXPECT_LT(frame.coded->noiseKept->value(), 1.0);
    for (std::size_t i = 0; i < frame.patches.size(); ++i)
        EXPECT_NEAR(frame.patches[i].found.value(), plain.patches[i].found.value(), 1.5)
            << frame.patches[i].name << ": a codec moves no level";
    EXPECT_EQ(codeScene(scene.context, scene.at, scene.wish)->value(), **coded) << "each time";
}

TEST(CodeScene, LongGroupsPayForWhatMoves) {
    Scene scene("4A");
    const auto coded = codeScene(scene.context, scene.at, scene.wish);
    ASSERT_TRUE(coded && *coded);
    const auto& sizes = (*coded)->sizes;
    ASSERT_EQ(sizes.size(), 2u * kLongGroup);
    EXPECT_GT(sizes[kLongGroup].value(), 1.5 * sizes[kLongGroup + 1].value())
        << "the picture that stands by itself";
    const auto task = *codingTask(scene.context, scene.at, scene.wish.size);
    EXPECT_LT(codedRate(task, **coded).value(), task.bitRate.value() * task.peak);
}

TEST(CodeScene, RawIsLeftAsItIs) {
    Scene scene("2A");
    for (auto& camera : scene.shoot.kit.cameras)
        for (auto& codec : camera.codecs)
            codec.gop = Gop::Raw;
    const auto context = *resolve(scene.shoot, *findSetup(scene.shoot, scene.context.setup->id));
    const auto coded = codeScene(context, scene.at, scene.wish);
    ASSERT_TRUE(coded);
    EXPECT_FALSE(coded->has_value());
}

CodingTask smallTask(int bits, Chroma chroma) {
    CodingTask task;
    task.size = {64, 48};
    task.depth = BitDepth{bits};
    task.chroma = chroma;
    task.gop = Gop::Intra;
    task.bitRate = DataRate(2e6);
    return task;
}

YcbcrFrame greyFrame(const CodingTask& task) {
    CodeFrame grey{task.depth, task.range, Planes<std::uint16_t>(task.size)};
    for (auto& plane : grey.codes.plane)
        std::fill(plane.begin(), plane.end(),
                  static_cast<std::uint16_t>(1 << (task.depth.bits - 1)));
    return ycbcrOf(grey, task.chroma, {});
}

TEST(RunCoding, EveryDepthAndChromaOfCamerasOrAClearWord) {
    for (const auto chroma : {Chroma::C420, Chroma::C422, Chroma::C444})
        for (const int bits : {8, 10, 12}) {
            const auto task = smallTask(bits, chroma);
            const auto coded = runCoding(task, [&](int) { return greyFrame(task); });
            ASSERT_TRUE(coded) << bits << " " << message(coded.error());
            EXPECT_EQ(coded->standard, bits == 12 ? "H.265" : "H.264");
            EXPECT_NEAR(coded->shown.plane[0][100], 1 << (bits - 1), 2 << (bits - 8));
        }
    const auto task = smallTask(14, Chroma::C422);
    const auto refused = runCoding(task, [&](int) { return greyFrame(task); });
    ASSERT_FALSE(refused);
    EXPECT_EQ(refused.error().got, "14 bits 4:2:2");
    EXPECT_NE(refused.error().expected.find("encodes"), std::string::npos);
    auto huge = smallTask(10, Chroma::C422);
    huge.size = {5000, 100};
    EXPECT_FALSE(runCoding(huge, [&](int) { return greyFrame(huge); }))
        << "never asked for a frame";
}

// The mode's own standard where this machine has it; what a standard does not have is refused.
TEST(RunCoding, TheEncoderIsOfTheModesStandard) {
    const auto standardOf = [](CodecStandard standard, int bits, Chroma chroma) {
        auto task = smallTask(bits, chroma);
        task.standard = standard;
        const auto coded = runCoding(task, [&](int) { return greyFrame(task); });
        return coded ? coded->standard : "refused " + coded.error().got;
    };
    for (const int bits : {8, 10}) {
        EXPECT_EQ(standardOf(CodecStandard::H264, bits, Chroma::C422), "H.264");
        EXPECT_EQ(standardOf(CodecStandard::H265, bits, Chroma::C420), "H.265");
    }
    EXPECT_EQ(standardOf(CodecStandard::Mezzanine, 10, Chroma::C422), "mezzanine codec");
    EXPECT_EQ(standardOf(CodecStandard::Mezzanine, 8, Chroma::C420),
              "refused mezzanine codec 8 bits 4:2:0");
    EXPECT_EQ(standardOf(CodecStandard::H264, 12, Chroma::C422), "refused H.264 12 bits 4:2:2");
    EXPECT_EQ(standardOf(CodecStandard::Mpeg2, 10, Chroma::C422), "refused MPEG-2 10 bits 4:2:2");
    EXPECT_EQ(standardOf(CodecStandard::Other, 8, Chroma::C420),
              "refused another codec 8 bits 4:2:0");
}

TEST(RunCoding, IsStoppedAndTellsHowFarItIs) {
    const auto task = smallTask(10, Chroma::C422);
    double most = 0;
    const auto whole = runCoding(
        task, [&](int) { return greyFrame(task); },
        [&](double done) {
            most = std::max(most, done);
            return true;
        });
    ASSERT_TRUE(whole);
    EXPECT_GT(most, 0.5);
    const auto stopped = runCoding(
        task, [&](int) { return greyFrame(task); }, [](double) { return false; });
    ASSERT_FALSE(stopped);
    EXPECT_EQ(stopped.error().code, ErrorCode::Stopped);
}

TEST(CodingMessages, GoThereAndBackAndRefuseWhatIsNoneOfThem) {
    const auto task = smallTask(10, Chroma::C420);
    const auto text = codingText(task);
    EXPECT_EQ(*readCodingText(text.substr(0, text.size() - 1)), task);
    for (
        const char* wrong :
        {"", "{", "[]", "{}", R"({"width":1})",
         R"({"width":0,"height":1,"rate":[24,1],"bits":8,"range":0,"chroma":1,"gop":1,"bit_rate":1,"peak":1,"frames":1,"shown":0})",
         R"({"width":9,"height":9,"rate":[24,0],"bits":8,"range":0,"chroma":1,"gop":1,"bit_rate":1,"peak":1,"frames":1,"shown":0})",
         R"({"width":9,"height":9,"rate":[24,1],"bits":8,"range":7,"chroma":1,"gop":1,"bit_rate":1,"peak":1,"frames":1,"shown":0})"})
        EXPECT_FALSE(readCodingText(wrong)) << wrong;
    Coded coded{greyFrame(task), {DataSize(10)}, "H.264"};
    const auto answer = codedText(coded);
    EXPECT_EQ(*readCodedText(answer, task), coded);
    EXPECT_FALSE(readCodedText(answer.substr(0, answer.size() - 1), task)) << "cut";
    EXPECT_FALSE(readCodedText("nothing", task));
}

} // namespace
} // namespace bslate::io
