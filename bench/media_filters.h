#pragma once

#include "core/frame/ycbcr.h"

extern "C" {
#include <libavfilter/avfilter.h>
#include <libavfilter/buffersink.h>
#include <libavfilter/buffersrc.h>
#include <libavutil/frame.h>
}

#include <cstring>
#include <memory>
#include <string>

namespace bslate::bench {

/// A frame through filters of the media library that end in `sinks` sinks called out0, out1 ...
class MediaFilters {
public:
    MediaFilters(const YcbcrFrame& frame, const std::string& filters, int sinks)
        : m_graph(avfilter_graph_alloc())
        , m_frame(av_frame_alloc()) {
        m_frame->format = AV_PIX_FMT_YUV444P10;
        m_frame->width = frame.size.width;
        m_frame->height = frame.size.height;
        av_frame_get_buffer(m_frame, 0);
        for (int p = 0; p < 3; ++p)
            for (int y = 0; y < frame.size.height; ++y)
                std::memcpy(m_frame->data[p] +
                                static_cast<std::ptrdiff_t>(y) * m_frame->linesize[p],
                            frame.plane[static_cast<std::size_t>(p)].data() +
                                static_cast<std::ptrdiff_t>(y) * frame.size.width,
                            static_cast<std::size_t>(frame.size.width) * 2);
        const std::string size =
            std::to_string(frame.size.width) + "x" + std::to_string(frame.size.height);
        std::string text = "buffer=video_size=" + size +
                           ":pix_fmt=yuv444p10le:time_base=1/25:pixel_aspect=1/1," + filters;
        AVFilterInOut *in = nullptr, *out = nullptr;
        m_fine = avfilter_graph_parse2(m_graph, text.c_str(), &in, &out) >= 0 &&
                 avfilter_graph_config(m_graph, nullptr) >= 0;
        avfilter_inout_free(&in);
        avfilter_inout_free(&out);
        for (unsigned i = 0; m_fine && i < m_graph->nb_filters; ++i) {
            auto* filter = m_graph->filters[i];
            if (std::strcmp(filter->filter->name, "buffer") == 0)
                m_source = filter;
            if (std::strcmp(filter->filter->name, "buffersink") == 0)
                m_sinks.push_back(filter);
        }
        m_fine = m_fine && m_source && m_sinks.size() == static_cast<std::size_t>(sinks);
    }
    ~MediaFilters() {
        av_frame_free(&m_frame);
        avfilter_graph_free(&m_graph);
    }
    MediaFilters(const MediaFilters&) = delete;
    MediaFilters& operator=(const MediaFilters&) = delete;

    [[nodiscard]] bool isFine() const { return m_fine; }
    /// False when a sink gave nothing.
    bool run() {
        m_frame->pts = m_next++;
        if (av_buffersrc_add_frame_flags(m_source, m_frame, AV_BUFFERSRC_FLAG_KEEP_REF) < 0)
            return false;
        bool all = true;
        for (auto* sink : m_sinks) {
            AVFrame* got = av_frame_alloc();
            all = av_buffersink_get_frame(sink, got) >= 0 && all;
            av_frame_free(&got);
        }
        return all;
    }

private:
    AVFilterGraph* m_graph;
    AVFrame* m_frame;
    AVFilterContext* m_source = nullptr;
    std::vector<AVFilterContext*> m_sinks;
    std::int64_t m_next = 0;
    bool m_fine = false;
};

} // namespace bslate::bench
