// bslate-stills MEMORY SECONDS read|encode FILE: opens stills of others for the programs, and puts
// pictures together whose numbers come on standard input; writes no file, opens no other, and ends
// when it takes too much.
#include "helper/input/input_file.h"
#include "helper/process/helper_main.h"
#include "helper/stills/coded_still.h"
#include "helper/stills/heif_still.h"
#include "helper/stills/sensor_still.h"
#include "helper/stills/still_writer.h"
#include "helper/stills/tiff_still.h"
#include "io/doors/shut_doors.h"
#include "io/wire/error_message.h"
#include "io/wire/still_messages.h"

#include <iostream>
#include <iterator>

extern "C" {
#include <libavutil/log.h>
}

namespace {

using namespace bslate;

constexpr std::size_t kLongestFile = std::size_t{1} << 30;

Result<io::Still> stillIn(const std::string& path) {
    const auto input = helper::openedInput(path);
    if (!input)
        return input.error();
    helper::prepareHeif();
    io::shutDoors();
    const auto content = helper::contentOf(*input, kLongestFile, helper::kSpareBytes);
    if (!content)
        return content.error();
    const auto bytes = std::string_view(*content).substr(0, input->size);
    const auto kind = helper::kindOf(bytes);
    if (kind == helper::StillKind::Heif)
        return helper::heifStill(bytes);
    // Camera raw is kept in TIFFs too, with a small picture in front of it.
    if (kind == helper::StillKind::Other ||
        (kind == helper::StillKind::Tiff && helper::isOfSensor(bytes)))
        return helper::sensorStill(bytes);
    if (kind == helper::StillKind::Tiff)
        return helper::tiffStill(bytes);
    return helper::codedStill(kind, *content);
}

void answer(std::ostream& out, const std::string& what, const std::string& path) {
    if (what == "read") {
        if (const auto still = stillIn(path))
            io::putStill(out, *still);
        else
            out << io::errorText(still.error());
        return;
    }
    io::shutDoors();
    const std::string request((std::istreambuf_iterator<char>(std::cin)), {});
    const auto picture = io::readStillText(request);
    const auto bytes = picture ? helper::encodedStill(*picture, path) : picture.error();
    if (bytes)
        out << 'B' << *bytes;
    else
        out << io::errorText(bytes.error());
}

} // namespace

int main(int argc, char** argv) {
    av_log_set_level(AV_LOG_QUIET);
    bslate::helper::runHelper(argc, argv, 2, 2, [](std::ostream& out, const auto& words) {
        answer(out, words[0], words[1]);
    });
}
