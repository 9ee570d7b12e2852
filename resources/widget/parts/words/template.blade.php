<div class="words{{ $part->isQuoted ? ' q' : '' }}{{ $steps[$card->ref] ?? '' }}" part="words" dir="auto"{!! $spokenIn !!}><p>{!! isset($leads[$card->ref]) ? '<span class="lead">'.$marks->html($leads[$card->ref]).'</span> '.$marks->html(ltrim(substr($part->text, strlen($leads[$card->ref])))) : $marks->html($part->text) !!}@if ($part->rest !== null)@if ($part->isCut)<span class="cut">&nbsp;…</span>@endif<span class="rest">{!! $marks->html($part->rest) !!}</span>@endif</p></div>
@if ($part->rest !== null || in_array($card->ref, $clamped, true))
<details class="more" part="more"><summary><span class="on">{{ $words->say('card.more') }}</span><span class="off">{{ $words->say('card.less') }}</span><span class="unseen"> {{ $card->called }}</span></summary></details>
@endif

