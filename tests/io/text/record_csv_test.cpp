// The record of a camera as a table and as JSON, there and back.
#include "io/json/record_json.h"
#include "io/text/record_csv.h"

#include <gtest/gtest.h>

namespace bslate {
namespace {

CameraRecord record() {
    CameraRecord record;
    record.id = "tarn-6";
    record.when = "2026-05-02 22:10";
    record.banks = {{"1",
                     "2026-05-01 07:40",
                     "s1a",
                     {{"white", "4600 K"}, {"zebra", "skin 51 %, clip 90 %"}},
                     {}},
                    {"two; \"words\"", "2026-05-01 07:44", "", {{"rate", "100"}}, {}}};
    record.settings = {{"firmware", "2.10"}, {"#note", "a line\nof two"}};
    return record;
}

TEST(RecordCsv, ComesBackAsItWent) {
    const auto text = io::writeRecordCsv(record());
    const auto read = io::readRecordCsv(text, "tarn-6");
    ASSERT_TRUE(read.ok()) << message(read.error());
    EXPECT_TRUE(*read == record()) << text;
    EXPECT_TRUE(text.starts_with("camera,bank,when,setup,setting,value\n"
                                 "tarn-6,1,2026-05-01 07:40,s1a,white,4600 K\n"
                                 "tarn-6,1,2026-05-01 07:40,s1a,zebra,\"skin 51 %, clip 90 %\"\n"))
        << text;
}

TEST(RecordCsv, ReadsWhatSpreadsheetsMakeOfIt) {
    const auto read = io::readRecordCsv("setting;value;camera;bank;when\r\n# noted at night\r\n"
                                        "white;4600 K;tarn-6;1;2026-05-01 07:40\r\n\r\n"
                                        "firmware;2.10;tarn-6;;\r\n");
    ASSERT_TRUE(read.ok()) << message(read.error());
    EXPECT_EQ(read->banks.at(0).values.at(0), (RecordLine{"white", "4600 K"}));
    EXPECT_EQ(read->settings.at(0), (RecordLine{"firmware", "2.10"}));
}

TEST(RecordCsv, NamesTheLineAndWhatWasExpected) {
    const std::string head = "camera,bank,when,setup,setting,value\n";
    const struct {
        std::string text;
        const char* place;
        const char* expected;
    } wrong[] = {
        {"", "line 1", "columns"},
        {head, "line 1", "at least one setting"},
        {"camera,setting\nx,y\n", "line 1", "columns"},
        {"camera,setting,value,colour\n", "line 1", "columns"},
        {head + "sedge-2,1,2026-05-01 07:40,,white,4600 K\n", "line 2", "another camera's"},
        {head + "tarn-6,1,yesterday,,white,4600 K\n", "line 2", "a moment"},
        {head + "tarn-6,1,,,white,4600 K\n", "line 2", "a moment"},
        {head + "tarn-6,,,,white,\n", "line 2", "a setting and its value"},
        {head + "tarn-6,,,,white,1\n\ntarn-6,,,,,2\n", "line 4", "a setting and its value"}};
    for (const auto& one : wrong) {
        const auto read = io::readRecordCsv(one.text, "tarn-6");
        ASSERT_FALSE(read.ok()) << one.text;
        EXPECT_EQ(read.error().place, one.place) << one.text;
        EXPECT_NE(read.error().expected.find(one.expected), std::string::npos)
            << message(read.error());
    }
    EXPECT_FALSE(io::readRecordCsv(head + "a,,,,x,1\nb,,,,x,1\n").ok()) << "one camera a record";
    std::string many = head;
    for (std::size_t i = 0; i <= kMostRecordLines; ++i)
        many += "tarn-6,,,,x" + std::to_string(i) + ",1\n";
    EXPECT_EQ(io::readRecordCsv(many).error().code, ErrorCode::OutOfRange);
}

TEST(RecordJson, ComesBackWithWhatItDoesNotKnow) {
    auto kept = record();
    kept.accepted = {{"bank-lost:4", "written again every morning", {}}};
    kept.banks[0].extra.json = "{\"colour\":\"red\"}";
    const auto read = io::readRecord(io::writeRecord(kept), "r.json", "tarn-6");
    ASSERT_TRUE(read.ok()) << message(read.error());
    EXPECT_TRUE(*read == kept);
    EXPECT_TRUE(*io::readAnyRecord(io::writeRecord(kept), "r.json") == kept);
    EXPECT_TRUE(*io::readAnyRecord(io::writeRecordCsv(record()), "r.csv") == record());
    const auto other = io::readRecord(io::writeRecord(kept), "r.json", "pip");
    ASSERT_FALSE(other.ok());
    EXPECT_EQ(other.error().place, "/id");
    EXPECT_FALSE(io::readAnyRecord("{\"format\": \"something\"}", "r.json").ok());
    auto later = io::writeRecord(kept);
    later.replace(later.find("\"version\": 1"), 12, "\"version\": 2");
    EXPECT_EQ(io::readRecord(later, "r.json").error().code, ErrorCode::NewerVersion);
    EXPECT_EQ(io::readAnyRecord("nothing", "r.csv").error().file, "r.csv");
    // What a shoot could not hold, or not write again, is no record.
    const std::string head = "camera,setting,value\ntarn-6,white,";
    EXPECT_EQ(io::readAnyRecord(head + "\xD4\xD3\n", "r.csv").error().expected, "text in UTF-8");
    const auto longer = io::readAnyRecord(head + std::string(1001, 'x') + "\n", "r.csv");
    ASSERT_FALSE(longer.ok());
    EXPECT_EQ(longer.error().code, ErrorCode::OutOfRange);
}

TEST(RecordCsv, AFormulaIsTextAndComesBack) {
    CameraRecord record;
    record.id = "tarn-6";
    record.settings = {
        {"note", "=HYPERLINK(\"http://x\",\"y\")"}, {"trim", "-0.3"}, {"tag", "'=a"}};
    const auto text = io::writeRecordCsv(record);
    EXPECT_NE(text.find("\"'=HYPERLINK"), std::string::npos) << text;
    EXPECT_EQ(io::readRecordCsv(text, {})->settings, record.settings);
}

} // namespace
} // namespace bslate
